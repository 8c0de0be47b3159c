/** The page's own stylesheets: the elements that bring them. */
export const ownSheets = (): Element[] => [...document.querySelectorAll('link[rel~="stylesheet"]:not([rel~="alternate"]), style')]

/**
 * A copy within copies of all that an element lies in, and beside copies of what stands beside these, so that the page's rules match there as
 * they do here. They have no boxes, and hand down what they do here.
 */
export function withAround(element: Element, copy: Element): Element {
  let around = copy
  for (let inner = element; inner.parentElement; inner = inner.parentElement) {
    const outer = inner.parentElement
    const shell = outer.cloneNode() as HTMLElement
    shell.style.cssText = `display: contents; zoom: 1; font-size: ${getComputedStyle(outer).fontSize}`
    for (const each of outer.children) {
      // Nothing of it runs.
      const beside = document.createElement(/-|script/.test(each.localName) ? 'i' : each.localName)
      beside.id = each.id
      beside.className = each.getAttribute('class') ?? ''
      beside.style.display = 'none'
      shell.append(each === inner ? around : beside)
    }
    around = shell
  }
  return around
}
