import { t } from "../../core/language/t.ts";
import { type Problem, problemOf } from "../../core/wire/problem.ts";
import type { AskPath, Asks, CallPath, Calls } from "./calls.ts";
import { deskHeaders } from "./deskHeaders.ts";

/** What came back, or why nothing was done. */
export type Answered<T> = { readonly value: T } | { readonly problem: Problem };

const UNREACHABLE = problemOf(
  "unreachable",
  t`The server cannot be reached, so nothing was changed. What you typed is still here, and the outputs keep their picture; try again.`,
);

/** Asks the server to do something. */
export function call<P extends CallPath>(
  path: P,
  sends: Calls[P]["sends"],
): Promise<Answered<Calls[P]["answers"]>> {
  return send(path, JSON.stringify(sends));
}

/** Sends a text that is JSON already, as it is. */
export async function send<T>(
  address: string,
  body: string | Blob,
  signal?: AbortSignal,
): Promise<Answered<T>> {
  return request(address, {
    method: "POST",
    headers: { "Content-Type": "application/json", ...deskHeaders() },
    body,
    ...(signal && { signal }),
  });
}

/** @param more what follows the path in the address */
export function ask<P extends AskPath>(path: P, more = "", signal?: AbortSignal): Promise<Answered<Asks[P]>> {
  return request(`${path}${more}`, signal ? { signal } : {});
}

async function request<T>(address: string, init: RequestInit): Promise<Answered<T>> {
  let response: Response;
  try {
    response = await fetch(address, init);
  } catch {
    return UNREACHABLE;
  }
  return readAnswer(await response.text().catch(() => ""), response.status);
}

/** An answer by its status: below 400 it is what was asked for; else it says why not, or is no answer of ours at all. */
export function readAnswer<T>(text: string, status: number): Answered<T> {
  let answer: unknown;
  try {
    answer = JSON.parse(text);
  } catch {
    return failed(status);
  }
  if (status < 400) return { value: answer as T };
  const { problem } = (answer ?? {}) as { problem?: Problem };
  return typeof problem?.sentence === "string" ? { problem } : failed(status);
}

/** The server was reached and failed: nobody is to look for a fault of the network. */
function failed(status: number): { readonly problem: Problem } {
  if (status === 413)
    return problemOf("tooLarge", t`That is too large to be taken. Nothing was changed; send less at once.`);
  if (status === 404)
    return problemOf("gone", t`That is not there any more. Nothing was changed; load the page again.`);
  return problemOf(
    "failed",
    t`Something failed in the server itself (${status}), which is no fault of yours or of the network. What you typed is still here, and the air is as it was. Try again; Health says more.`,
  );
}

/** A save whose answer is a problem is one that was refused. */
export function asOutcome<T>(
  answered: Answered<T>,
): T | { readonly kind: "refused"; readonly sentence: string } {
  return "problem" in answered ? { kind: "refused", sentence: answered.problem.sentence } : answered.value;
}
