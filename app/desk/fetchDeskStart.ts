import type { DeskStart } from "./deskSnapshot.ts";

export const DESK_START = "/desk-start";

interface Told {
  readonly start: Omit<DeskStart, "documents">;
  readonly documents: DeskStart["documents"];
}

/** Where the store of a desk begins. A failure shows that the page failed, and to load it again. */
export async function fetchDeskStart(): Promise<DeskStart> {
  const answer = await fetch(DESK_START);
  if (!answer.ok) throw new Error(`The desk could not be opened: ${answer.status}`);
  const { start, documents } = (await answer.json()) as Told;
  return { ...start, documents };
}
