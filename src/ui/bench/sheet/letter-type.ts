/** How the user's own letters are set; size in px. */
export interface LetterType {
  readonly font: string;
  readonly size: number;
  readonly color: string;
}
