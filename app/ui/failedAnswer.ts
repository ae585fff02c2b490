/**
 * What a request of ours is answered with when the server was reached and failed: a refusal, in the words of every
 * refusal, so that nobody looks for a fault of the network.
 * @param status the HTTP status of the answer
 */
export function failedAnswer(status: number): {
  readonly kind: "refused";
  readonly sentence: string;
  readonly problem: string;
} {
  const sentence =
    status === 413
      ? "That is too large to be taken. Nothing was changed; send less at once."
      : `Something failed in the server itself (${status}), which is no fault of yours or of the network. What you typed is still here, and the air is as it was. Try again; Health says more.`;
  return { kind: "refused", sentence, problem: sentence };
}
