import type { Problem } from '@lanakit/core/problems';
import { problemWords } from '@lanakit/core/words';
import type { Refusal, RefusalCode } from '../services/refusal.ts';

/** Every refusal the server can give: its status and what to do about it. Codes are stable; words may improve. */
export const HTTP_PROBLEMS = {
  json_broken: { status: 400, title: 'The request is not JSON. Nothing was changed.' },
  body_wrong_type: { status: 415, title: 'Send the request as application/json. Nothing was changed.' },
  body_too_large: {
    status: 413,
    title: 'The request is too large. Nothing was changed; send less at a time.',
  },
  body_invalid: { status: 400, title: 'The request does not have the form asked for. Nothing was changed.' },
  content_invalid: {
    status: 422,
    title: 'Something in it cannot be. Nothing was changed; mend what is listed.',
  },
  pattern_incomplete: {
    status: 422,
    title: 'The pattern still has something unknown. Nothing was published; settle what is listed.',
  },
  revision_unchanged: {
    status: 409,
    title: 'Nothing has changed since the last revision. Nothing was published.',
  },
  picture_not_read: {
    status: 415,
    title: 'This is not a picture we can read. Nothing was kept; bring a JPEG, PNG, WebP or SVG.',
  },
  picture_too_large: {
    status: 413,
    title:
      'This picture is too large to open. Nothing was kept; make it smaller than 40 megapixels, and no side longer than 16 000.',
  },
  drawing_unsafe: {
    status: 422,
    title: 'Nothing of this drawing is left once everything that could run is taken out. Nothing was kept.',
  },
  text_too_long: {
    status: 422,
    title:
      'This text has more than 500 steps, or a step of more than 4000 characters. Nothing was changed; part it.',
  },
  drawing_too_large: {
    status: 413,
    title:
      'This drawing has too much in it. Nothing was kept; bring one of at most 4 MB and 20 000 shapes, or a picture of it.',
  },
  took_too_long: {
    status: 422,
    title: 'This took too long to read and was given up. Nothing was kept; make it simpler, or part it.',
  },
  too_busy: {
    status: 503,
    title: 'Too much waits to be read already. Nothing was changed; try it again in a minute.',
  },
  key_used: {
    status: 409,
    title: 'This key was used for something else already. Nothing was changed; send it with a new key.',
  },
  disk_full: {
    status: 507,
    title: 'The disk is full. Nothing was changed; make room on it, then try again.',
  },
  disk_failed: {
    status: 507,
    title:
      'The disk could not be written. Nothing was changed; see that it is there and in order, then try again.',
  },
  read_only: {
    status: 507,
    title: 'The studio’s file may not be written. Nothing was changed; allow writing it, then try again.',
  },
  database_busy: {
    status: 503,
    title: 'Another program holds the studio’s file. Nothing was changed; try again in a moment.',
  },
  database_damaged: {
    status: 500,
    title: 'A part of the studio’s file is damaged. Nothing was changed; see Backups for the last good copy.',
  },
  backup_damaged: {
    status: 422,
    title: 'This backup is damaged. Nothing was changed; take another.',
  },
  backup_newer: {
    status: 422,
    title: 'This backup is of a newer Lanakit. Nothing was changed; bring Lanakit up to date first.',
  },
  backup_not_made: {
    status: 507,
    title:
      'No backup could be made, so nothing else was done. Make room on the disk, or allow writing there.',
  },
  offcut_gone: {
    status: 409,
    title: 'That offcut is cut up by now. Nothing was changed; plan again from what is there.',
  },
  not_bought_yet: {
    status: 409,
    title:
      'There is no whole one on the shelf to cut from: this one is still to be bought. Enter what came, or count it, and tick it then.',
  },
  order_stage: {
    status: 409,
    title: 'This order is further than that by now. Nothing was changed; open it again to see how far it is.',
  },
  run_has_left: {
    status: 409,
    title:
      'This run is bought, weighed or packed by now. Nothing was changed; take it back to planned first.',
  },
  file_not_read: {
    status: 422,
    title: 'There is no pattern in this file. Nothing was changed; bring a pattern in JSON, ZIP or Markdown.',
  },
  studio_not_read: {
    status: 422,
    title:
      'This is not a whole studio we can read. Nothing was changed; bring a ZIP as Lanakit makes it, or mend what is told.',
  },
  file_newer: {
    status: 422,
    title: 'This file comes from a newer Lanakit. Nothing was changed; bring Lanakit up to date first.',
  },
  archive_unsafe: {
    status: 422,
    title: 'This ZIP holds something that is not ours, or unpacks to far too much. Nothing was unpacked.',
  },
  tray_empty: { status: 409, title: 'No needle was counted out. Nothing was closed; count them out first.' },
  tray_closed: {
    status: 409,
    title: 'The count of this class is closed. Nothing was changed; open it again to count on.',
  },
  in_use: { status: 409, title: 'It is in use. It was kept; archive it instead.' },
  import_built_on: {
    status: 409,
    title: 'Something of this import was changed or used since. Nothing was taken back; see to that first.',
  },
  import_undone: { status: 409, title: 'This import has been taken back already.' },
  version_conflict: {
    status: 409,
    title: 'It was changed elsewhere since you opened it. Nothing was overwritten; decide between the two.',
  },
  precondition_required: {
    status: 428,
    title: 'Send the version you are changing as If-Match. Nothing was changed.',
  },
  if_match_not_read: { status: 400, title: 'If-Match must be a version such as "3". Nothing was changed.' },
  query_invalid: { status: 400, title: 'The address asks for something that cannot be read.' },
  not_found: { status: 404, title: 'There is nothing here. It may have been deleted.' },
  request_not_read: { status: 400, title: 'The request cannot be read. Nothing was changed.' },
  precondition_failed: { status: 412, title: 'What was asked for is no longer as it was. Ask for it anew.' },
  range_not_there: { status: 416, title: 'There is no such part of it. Ask for the whole.' },
  headers_too_large: { status: 431, title: 'The head of the request is too large. Nothing was changed.' },
  method_not_allowed: { status: 405, title: 'That cannot be done here.' },
  not_logged_in: {
    status: 401,
    title: 'Say the passphrase of this studio first. Nothing was changed, and what you wrote is kept here.',
  },
  not_for_role: {
    status: 403,
    title: 'This device may not do that: ask the owner of the studio. Nothing was changed.',
  },
  code_wrong: {
    status: 401,
    title: 'No such code, or it is over. Look at it once more, or ask for a new one.',
  },
  devices_too_many: {
    status: 409,
    title: 'As many devices are let in as may be. Shut one out first, on the page Network.',
  },
  not_opened: {
    status: 409,
    title: 'This studio is not open to its network, so there is nothing to pair a device with. See Network.',
  },
  passphrase_wrong: { status: 401, title: 'That is not the passphrase of this studio.' },
  tries_too_many: {
    status: 429,
    title: 'Too many wrong tries. Wait a little, and try it again.',
  },
  header_missing: {
    status: 403,
    title:
      'This did not come from a page of Lanakit. Nothing was changed; a program of yours sends the header X-Lanakit with it.',
  },
  foreign_request: {
    status: 403,
    title: 'This request came from another site or under another name. Nothing was changed.',
  },
  internal: { status: 500, title: 'Something went wrong in Lanakit. Nothing was half-written; try again.' },
} as const satisfies Record<RefusalCode, HttpWords> & Record<string, HttpWords>;

interface HttpWords {
  readonly status: number;
  readonly title: string;
}

export type HttpProblemCode = keyof typeof HTTP_PROBLEMS;

/** Thrown by a handler to answer with a problem; the error handler turns it into `application/problem+json`. */
export class HttpProblem extends Error {
  readonly code: HttpProblemCode;
  readonly facts: Readonly<Record<string, unknown>>;

  constructor(code: HttpProblemCode, facts: Readonly<Record<string, unknown>> = {}) {
    super(code);
    this.code = code;
    this.facts = facts;
  }
}

/** A problem with what is wrong in the body, each in words with its place. */
export function contentProblem(
  code: HttpProblemCode,
  problems: readonly Problem[],
  facts: Readonly<Record<string, unknown>> = {},
): HttpProblem {
  const told = problems.slice(0, MOST_PROBLEMS);
  const more = problems.length - told.length;
  return new HttpProblem(code, {
    ...facts,
    errors: told.map((problem) => ({ ...problem, message: problemWords(problem) })),
    ...(more > 0 && { more }),
  });
}

/** Nobody mends more in one go; of more it is said how many. */
const MOST_PROBLEMS = 100;

/** A service's refusal as HTTP says it: what is wrong in words, everything else as it is. */
export function problemOfRefusal({ reason }: Refusal): HttpProblem {
  const { code, ...facts } = reason;
  if (!('problems' in facts) || facts.problems === undefined) return new HttpProblem(code, facts);
  const { problems, ...rest } = facts;
  return contentProblem(code, problems, rest);
}

/** The body of `application/problem+json` (RFC 9457). */
export function problemBody({ code, facts }: HttpProblem) {
  const { status, title } = HTTP_PROBLEMS[code];
  return { type: `/problems/${code}`, code, status, title, ...facts };
}
