export const REVIEW_FAILED =
  'The review could not be worked out. Load the page again; nothing written is lost.';
