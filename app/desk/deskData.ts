/** A scripture text that can be read from. */
export interface ListedText {
  readonly code: string;
  readonly name: string;
  readonly language: string;
}

/** What the desk's loader gives: names and links that do not change while it is open. */
export interface DeskData {
  /** Name of the house. */
  readonly place: string;
  /** Opens the multi-view. */
  readonly watchToken: string;
  readonly hookToken: string;
  /** By which the server can be reached, the nearest first. */
  readonly addresses: readonly string[];
  readonly hasPasscode: boolean;
  /** Whether the server can make PDF of presentations. */
  readonly makesSlides: boolean;
  /** Output → the token its window says. */
  readonly outputTokens: Readonly<Record<string, string>>;
  readonly texts: readonly ListedText[];
  /** The venue's licence number for this event. */
  readonly licence: string;
}
