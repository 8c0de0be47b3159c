// What the worker answers: pure functions of the pages it was told of.
import { checkPage } from '../core/check/checks'
import { onlyThis, rungOf, type SiteIndex } from '../core/page/candidates'
import { findAlike } from '../core/page/alike'
import { insideMatches } from '../core/page/inside'
import { overlapsOf } from '../core/rig/resolve'
import { indexPage, writeSelector } from '../core/page/selector'
import { childrenOf, elementsOf, findIn, parentOf, readTree, textOf } from '../core/page/tree'
import { answerTo } from '../core/trace/compare'
import type { Answers, Match, Question } from './protocol'

export function answerQuestion(site: SiteIndex, question: Question): Answers[keyof Answers] {
  switch (question.ask) {
    case 'rungs':
      return question.numbers.flatMap((number) => rungOf(site, question.page, number) ?? [])
    case 'count':
      return Object.fromEntries(question.selects.map((select) => [select, countOn(site, select)]))
    case 'first': {
      const page = site.get(question.page)
      const first = page && findIn(page.tree, question.select)?.[0]
      return (first && rungOf(site, question.page, page.numbers.get(first) ?? -1)) ?? null
    }
    case 'way':
      return wayFrom(site, question)
    case 'inside': {
      const page = site.get(question.page)
      return (page && insideMatches(page, question.own, question.number, question.select)) ?? null
    }
    case 'overlaps':
      return overlapsOf(question.selects, (select) => [...site.values()].flatMap(({ tree }) => findIn(tree, select) ?? []))
    case 'matches':
      return matchesOn(site, question.page, question.select)
    case 'trace':
      return answerTo(question.rig, question.trace, question.boxes)
    case 'check': {
      const { page, known } = question
      const isElsewhere = (select: string) => [...site].some(([id, { tree }]) => id !== page && (findIn(tree, select)?.length ?? 0) > 0)
      return checkPage(
        question.site,
        page,
        (id) => known[id],
        (number) => site.get(page)?.elements[number]?.attribs.style ?? '',
        isElsewhere,
      )
    }
    case 'alike': {
      const page = site.get(question.page)
      return page ? findAlike(indexPage(readTree(question.before)), page, question.select) : []
    }
  }
}

function countOn(site: SiteIndex, select: string): Readonly<Record<string, number>> | null {
  const counts: Record<string, number> = {}
  for (const [id, { tree }] of site) {
    const found = findIn(tree, select)
    if (!found) return null
    counts[id] = found.length
  }
  return counts
}

function wayFrom(site: SiteIndex, { page: id, number, to }: Extract<Question, { ask: 'way' }>): number | null {
  const page = site.get(id)
  const element = page?.elements[number]
  if (!page || !element) return null
  const parent = parentOf(element)
  const beside = parent ? childrenOf(parent) : []
  const at = beside.indexOf(element)
  const target = to === 'parent' ? parent : to === 'child' ? childrenOf(element)[0] : beside[at + (to === 'next' ? 1 : -1)]
  return target && target.name !== 'html' ? (page.numbers.get(target) ?? null) : null
}

function matchesOn(site: SiteIndex, id: string, select: string): readonly Match[] {
  const page = site.get(id)
  return (
    (page &&
      findIn(page.tree, select)?.map((element) => ({
        number: page.numbers.get(element) ?? -1,
        select: writeSelector(onlyThis(page, element)),
        words: textOf(element).slice(0, 200),
        picture: (element.name === 'img' ? element : elementsOf(element).find(({ name }) => name === 'img'))?.attribs.src ?? '',
        attributes: { ...element.attribs },
      }))) ??
    []
  )
}
