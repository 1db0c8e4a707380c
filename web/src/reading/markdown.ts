import MarkdownIt from 'markdown-it';

/** No HTML of its own gets through, and a link leads only within the studio or to a plain web page. */
const reader = new MarkdownIt({ html: false, linkify: false, breaks: true });

reader.validateLink = (url) => /^(?:https?:\/\/|\/(?!\/)|#)/i.test(url.trim());

/** Markdown as safe HTML: everything typed is escaped, only our own marks become tags. */
export const toHtml = (markdown: string): string => reader.render(markdown);
