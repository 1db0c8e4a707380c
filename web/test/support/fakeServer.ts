/** One request as it came. */
export interface Came {
  readonly method: string;
  /** Below /api. */
  readonly path: string;
  readonly body: unknown;
  /** From If-Match; null where none was said. */
  readonly version: number | null;
  readonly keepalive: boolean;
}

type Answer = { readonly status: number; readonly body?: unknown } | 'unreachable';

const READS: Answer = { status: 200, body: { items: [] } };

/** A server that a test plays: it keeps what came, and answers when and what the test says. */
export class FakeServer {
  readonly came: Came[] = [];
  #held: { readonly came: Came; readonly answer: (answer: Answer) => void }[] = [];
  readonly #real = globalThis.fetch;
  /** Answers of themselves; a write without one is held until the test answers it. */
  reply: (came: Came) => Answer | undefined = ({ method }) => (method === 'GET' ? READS : undefined);

  constructor() {
    globalThis.fetch = (url, init) => this.#take(url as string, init ?? {});
  }

  /** Writes, in their order. */
  get writes(): Came[] {
    return this.came.filter(({ method }) => method !== 'GET');
  }

  /** Answers the oldest write that waits. */
  answer(answer: Answer): void {
    const held = this.#held.shift();
    if (!held) throw new Error('nothing waits for an answer');
    held.answer(answer);
  }

  get waiting(): number {
    return this.#held.length;
  }

  close(): void {
    globalThis.fetch = this.#real;
  }

  async #take(url: string, init: RequestInit): Promise<Response> {
    const match = (init.headers as Record<string, string> | undefined)?.['If-Match'];
    const came: Came = {
      method: init.method ?? 'GET',
      path: url.replace(/^\/api/, ''),
      body: typeof init.body === 'string' ? (JSON.parse(init.body) as unknown) : (init.body ?? null),
      version: match === undefined ? null : Number(match.replaceAll('"', '')),
      keepalive: init.keepalive === true,
    };
    this.came.push(came);
    const answer =
      this.reply(came) ??
      (await new Promise<Answer>((resolve) => this.#held.push({ came, answer: resolve })));
    if (answer === 'unreachable') throw new TypeError('no route to host');
    return responseOf(answer.status, answer.body ?? null);
  }
}

/** jsdom has no Response of its own. */
const responseOf = (status: number, body: unknown): Response =>
  ({ status, ok: status < 400, statusText: '', json: () => Promise.resolve(body) }) as Response;

/** What the server says when something was saved elsewhere. */
export const conflictWith = (theirs: unknown): Answer => ({
  status: 409,
  body: { code: 'version_conflict', status: 409, title: 'Changed elsewhere.', theirs },
});
