import type { Element, Node } from '@xmldom/xmldom';

/** What an element is called, whatever its name begins with. */
export const nameOf = (element: Element): string => element.nodeName.toLowerCase().replace(/^svg:/, '');

export const isElement = (node: Node): node is Element => node.nodeType === 1;

/** Everything in a node, words too. */
export function nodesIn(node: Node): Node[] {
  const nodes: Node[] = [];
  for (let child = node.firstChild; child; child = child.nextSibling) nodes.push(child);
  return nodes;
}

export const childrenOf = (node: Node): Element[] => nodesIn(node).filter(isElement);

/** The id that an element points to within the drawing. */
export function hrefOf(element: Element): string | undefined {
  const href = element.getAttribute('href') ?? element.getAttribute('xlink:href') ?? '';
  return href.startsWith('#') ? href.slice(1) : undefined;
}
