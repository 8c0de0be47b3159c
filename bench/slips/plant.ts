// Slips that could be made in a source: one operator for another, a number that is off by one, a condition turned round.
import ts from 'typescript'

export interface Slip {
  /** Where in the source, from and to. */
  readonly from: number
  readonly to: number
  /** What stands there, and what a hand that slips would write. */
  readonly text: string
  readonly slip: string
}

const operators: Readonly<Record<string, string>> = {
  '<': '>',
  '>': '<',
  '<=': '<',
  '>=': '>',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
}
const functions: Readonly<Record<string, string>> = { min: 'max', max: 'min', floor: 'ceil', ceil: 'floor', some: 'every', every: 'some' }

/** All slips that could be made in the functions of a source. */
export function slipsIn(source: string): readonly Slip[] {
  const file = ts.createSourceFile('source.ts', source, ts.ScriptTarget.ES2023, true)
  const found: Slip[] = []
  const add = (node: ts.Node, slip: string) =>
    found.push({ from: node.getStart(), to: node.end, text: source.slice(node.getStart(), node.end), slip })
  const visit = (node: ts.Node, isInFunction: boolean): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return
    if (isInFunction) {
      if (ts.isBinaryExpression(node)) {
        const slip = operators[node.operatorToken.getText()]
        if (slip !== undefined && !ts.isStringLiteralLike(node.left) && !ts.isStringLiteralLike(node.right)) add(node.operatorToken, slip)
      }
      if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) add(node, node.operand.getText())
      if (ts.isNumericLiteral(node)) add(node, String(Number(node.text.replaceAll('_', '')) + 1))
      if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false')
      if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true')
      if (ts.isConditionalExpression(node) && ts.isStringLiteral(node.whenTrue) !== ts.isStringLiteral(node.whenFalse)) add(node.condition, `!(${node.condition.getText()})`) // prettier-ignore
      if (ts.isPropertyAccessExpression(node)) {
        const slip = functions[node.name.text]
        if (slip !== undefined) add(node.name, slip)
      }
    }
    node.forEachChild((child) => visit(child, isInFunction || ts.isFunctionLike(node)))
  }
  visit(file, false)
  return found
}

/** The source with a slip in it. */
export const withSlip = (source: string, { from, to, slip }: Slip): string => source.slice(0, from) + slip + source.slice(to)
