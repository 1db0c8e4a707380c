/** Text as it stands in HTML and XHTML. */
export const escaped = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll("'", '&#39;');

type Attributes = Readonly<Record<string, string | number | boolean | null | undefined>>;

/** An element with what is in it, which is markup already. What is false or null is left out. */
export function element(tag: string, attributes: Attributes, ...inside: readonly string[]): string {
  const written = Object.entries(attributes)
    .filter(([, value]) => value !== null && value !== undefined && value !== false)
    .map(([name, value]) => (value === true ? ` ${name}="${name}"` : ` ${name}="${escaped(String(value))}"`))
    .join('');
  return VOID.has(tag) ? `<${tag}${written}/>` : `<${tag}${written}>${inside.join('')}</${tag}>`;
}

const VOID = new Set(['img', 'input', 'br', 'meta', 'link']);
