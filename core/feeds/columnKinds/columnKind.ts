/** A kind of column: which texts it takes, and how two of them are ordered. */
export interface ColumnKind {
  /** What a person sees it called. */
  readonly name: string;
  /** How a fault calls one of its values: "a number". */
  readonly one: string;
  /** Whether a text that is not empty is one of its values. */
  readonly fits: (text: string) => boolean;
  /** Below zero where the first comes before the second; both are of this kind. */
  readonly compare: (first: string, second: string) => number;
  /** Which column it is found to be from its values; kinds that only a person can name are never found. */
  readonly isFound: boolean;
}
