import { deskHeaders } from "./deskHeaders.ts";

/** Sends JSON to one of our own actions. @returns its answer; undefined when the server cannot be reached */
export async function postJson<T>(path: string, body: unknown): Promise<T | undefined> {
  try {
    const response = await fetch(path, {
      method: "POST",
      headers: { "Content-Type": "application/json", ...deskHeaders() },
      body: JSON.stringify(body),
    });
    return (await response.json()) as T;
  } catch {
    return undefined;
  }
}
