import type { Response } from "express";
import { AsideFailed } from "../aside/aside.ts";

/** Does long work for as long as somebody waits for its answer, and answers with what came of it. */
export async function runWhileAsked(
  response: Response,
  work: (signal: AbortSignal) => Promise<unknown>,
): Promise<void> {
  const asked = new AbortController();
  response.once("close", () => asked.abort());
  try {
    response.json(await work(asked.signal));
  } catch (error) {
    if (!(error instanceof AsideFailed)) throw error;
    if (!response.destroyed) response.status(422).json({ problem: error.message });
  }
}
