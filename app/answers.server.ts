import { type ProblemCode, problemOf } from "../core/wire/problem.ts";
import type { AskPath, Asks, CallPath, Calls } from "./api/calls.ts";

/** The answer that a call promises. */
export const answer = <P extends CallPath>(_path: P, value: Calls[P]["answers"]): Response =>
  Response.json(value);

/** The same, for what is only asked for. */
export const tell = <P extends AskPath>(_path: P, value: Asks[P]): Response => Response.json(value);

const STATUS: Readonly<Record<ProblemCode, number>> = {
  unreachable: 503,
  failed: 500,
  diskFull: 507,
  tooLarge: 413,
  notUnderstood: 400,
  forbidden: 403,
  gone: 404,
  refused: 409,
};

/** Why it was not done. */
export const refuse = (sentence: string, code: ProblemCode = "refused"): Response =>
  Response.json(problemOf(code, sentence), { status: STATUS[code] });
