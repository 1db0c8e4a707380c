/** One language of a pattern, and how far it has come with it as it is now. */
export interface TranslationLine {
  /** BCP 47. */
  readonly language: string;
  /** Texts of the pattern. */
  readonly count: number;
  readonly missing: number;
  /** Said otherwise since they were translated. */
  readonly changed: number;
}
