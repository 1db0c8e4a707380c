/** People by when they are next free; of two at one time the one that was there first. A binary heap. */
export function clockQueue(size: number) {
  const times = new Float64Array(size + 1);
  const whos = new Int32Array(size + 1);
  const turns = new Float64Array(size + 1);
  let [length, turn] = [0, 0];
  const isAhead = (a: number, b: number) =>
    (times[a] as number) < (times[b] as number) ||
    (times[a] === times[b] && (turns[a] as number) < (turns[b] as number));
  const swap = (a: number, b: number) => {
    [times[a], times[b]] = [times[b] as number, times[a] as number];
    [whos[a], whos[b]] = [whos[b] as number, whos[a] as number];
    [turns[a], turns[b]] = [turns[b] as number, turns[a] as number];
  };
  return {
    push(time: number, who: number): void {
      let at = length++;
      times[at] = time;
      whos[at] = who;
      turns[at] = turn++;
      for (let up = (at - 1) >> 1; at > 0 && isAhead(at, up); up = (at - 1) >> 1) {
        swap(at, up);
        at = up;
      }
    },
    pop(): { time: number; who: number } | null {
      if (length === 0) return null;
      const top = { time: times[0] as number, who: whos[0] as number };
      length -= 1;
      swap(0, length);
      for (let at = 0; ;) {
        let least = at;
        for (const child of [2 * at + 1, 2 * at + 2])
          if (child < length && isAhead(child, least)) least = child;
        if (least === at) break;
        swap(at, least);
        at = least;
      }
      return top;
    },
  };
}
