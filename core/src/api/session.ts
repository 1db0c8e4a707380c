/** What whoever opens a page may know before they have said who they are. */
export interface SessionState {
  /** It is opened to a network: it asks who comes. */
  readonly isOpened: boolean;
  readonly isKnown: boolean;
  /** Wrong passphrases within the last hour, from wherever; told to its owner alone. */
  readonly wrongTries: number | null;
}
