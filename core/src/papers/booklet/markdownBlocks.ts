import MarkdownIt from 'markdown-it';
import type { Block, TextRun, Words } from './model.ts';

/** The same marks as on the screen: no HTML of its own gets through, and no link leads out of the booklet. */
const reader = new MarkdownIt({ html: false, linkify: false, breaks: true });

type Token = ReturnType<typeof reader.parse>[number];

/** An author’s Markdown as paragraphs and lists. */
export function markdownBlocks(markdown: string): Block[] {
  const blocks: Block[] = [];
  let list: { isNumbered: boolean; items: TextRun[][] } | null = null;
  let depth = 0;
  for (const token of reader.parse(markdown, {})) {
    switch (token.type) {
      case 'bullet_list_open':
      case 'ordered_list_open':
        depth += 1;
        list ??= { isNumbered: token.type === 'ordered_list_open', items: [] };
        break;
      case 'bullet_list_close':
      case 'ordered_list_close':
        depth -= 1;
        if (depth === 0 && list) {
          blocks.push({ is: 'list', ...list });
          list = null;
        }
        break;
      case 'list_item_open':
        list?.items.push([]);
        break;
      case 'inline': {
        const words = inlineWords(token);
        const item = list?.items.at(-1);
        if (item) item.push(...(item.length > 0 ? [{ text: ' ' }] : []), ...words);
        else if (words.length > 0) blocks.push({ is: 'words', words, tone: 'plain' });
        break;
      }
      case 'fence':
      case 'code_block':
        blocks.push({ is: 'words', words: [{ text: token.content.trim() }], tone: 'plain' });
        break;
      default:
    }
  }
  return blocks;
}

function inlineWords(token: Token): Words {
  const runs: TextRun[] = [];
  let [strong, slanted] = [0, 0];
  const add = (text: string) =>
    runs.push({ text, ...(strong > 0 && { isStrong: true }), ...(slanted > 0 && { isSlanted: true }) });
  for (const child of token.children ?? []) {
    if (child.type === 'strong_open') strong += 1;
    else if (child.type === 'strong_close') strong -= 1;
    else if (child.type === 'em_open') slanted += 1;
    else if (child.type === 'em_close') slanted -= 1;
    else if (child.type === 'softbreak' || child.type === 'hardbreak') add('\n');
    else if (child.content !== '') add(child.content);
  }
  return runs.filter(({ text }) => text !== '');
}
