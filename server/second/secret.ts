import { createHmac, timingSafeEqual } from "node:crypto";

/** What only a machine that has this show can say to a question: so the secret itself is never told. */
export const answerTo = (question: string, token: string): string =>
  createHmac("sha256", token).update(`who leads ${question}`).digest("hex");

export function isAnswerTo(question: string, token: string, answer: string): boolean {
  const [expected, said] = [Buffer.from(answerTo(question, token)), Buffer.from(answer)];
  return expected.length === said.length && timingSafeEqual(expected, said);
}
