/** Longer than that no line of a device is, whatever it says. */
export const LONGEST_LINE = 120;

/**
 * Parts what comes over a wire into lines, in whatever pieces it comes: half a line waits for its other half. What goes on and
 * on without an end is given back cut, as a line nobody can read, and the rest of it up to the next end is thrown away: no
 * device may fill the memory.
 */
export function lineSplitter(longest = LONGEST_LINE): (chunk: string) => string[] {
  let rest = '';
  let isSkipping = false;
  return (chunk) => {
    const lines: string[] = [];
    const parts = (rest + chunk).split(/\r\n|\n|\r/);
    rest = parts.pop() ?? '';
    for (const part of parts) {
      if (!isSkipping) lines.push(part);
      isSkipping = false;
    }
    if (rest.length > longest) {
      if (!isSkipping) lines.push(rest.slice(0, longest + 1));
      isSkipping = true;
      rest = '';
    }
    return lines;
  };
}
