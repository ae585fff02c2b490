import { deskHeaders } from "./deskHeaders.ts";
import { failedAnswer } from "./failedAnswer.ts";

/**
 * Sends JSON to one of our own actions.
 * @returns its answer; a refusal when the server failed; undefined when it cannot be reached
 */
export async function postJson<T>(path: string, body: unknown): Promise<T | undefined> {
  let response: Response;
  try {
    response = await fetch(path, {
      method: "POST",
      headers: { "Content-Type": "application/json", ...deskHeaders() },
      body: JSON.stringify(body),
    });
  } catch {
    return undefined;
  }
  return readAnswer<T>(await response.text().catch(() => ""), response.status);
}

/** An answer as JSON, whatever its status; what is no JSON is a failure of the server. */
export function readAnswer<T>(text: string, status: number): T {
  try {
    return JSON.parse(text) as T;
  } catch {
    return failedAnswer(status) as T;
  }
}
