/** Why a request was not done, in one shape for all of them. */
export type ProblemCode =
  /** Nobody answered. */
  | "unreachable"
  /** The server failed at it. */
  | "failed"
  | "diskFull"
  | "tooLarge"
  /** It is not what that address takes. */
  | "notUnderstood"
  /** Whoever asks may not. */
  | "forbidden"
  /** What it is about is not there any more. */
  | "gone"
  /** It cannot be done as things are. */
  | "refused";

export interface Problem {
  readonly code: ProblemCode;
  /** What happened, what is still fine, what to do. */
  readonly sentence: string;
}

export const problemOf = (code: ProblemCode, sentence: string): { readonly problem: Problem } => ({
  problem: { code, sentence },
});
