/** Said where something is made of what is stored and its newest changes could not be stored. */
export const NOT_SAVED_YET = {
  text: 'The newest changes are not saved yet; this waits for them.',
  isProblem: true,
} as const;
