import type { Response } from "express";
import { problemOf } from "../../core/wire/problem.ts";
import { AsideFailed } from "../aside/aside.ts";

/** Does long work for as long as somebody waits for its answer, and answers with what came of it. */
export async function runWhileAsked(
  response: Response,
  work: (signal: AbortSignal) => Promise<object | { readonly problem: string }>,
): Promise<void> {
  const asked = new AbortController();
  response.once("close", () => asked.abort());
  try {
    const came = await work(asked.signal);
    if ("problem" in came) response.status(422).json(problemOf("refused", String(came.problem)));
    else response.json(came);
  } catch (error) {
    if (!(error instanceof AsideFailed)) throw error;
    if (!response.destroyed) response.status(422).json(problemOf("refused", error.message));
  }
}
