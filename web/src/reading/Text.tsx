import { useMemo } from 'react';
import { toHtml } from './markdown.ts';

/** An author’s Markdown as she meant it. */
export function Text({ markdown }: { markdown: string }) {
  const html = useMemo(() => toHtml(markdown), [markdown]);
  return <div dangerouslySetInnerHTML={{ __html: html }} />;
}
