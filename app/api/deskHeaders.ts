let deskId = "";
let saidAtMs = Number.NEGATIVE_INFINITY;

/** What comes of a request of this window comes within this time of it. */
const OWN_WITHIN_MS = 2_000;

/** Which window of the desk this is: what it may do depends on whether it is locked, or only watches. */
export function setDeskId(windowId: string): void {
  deskId = windowId;
}

/** What every request of the desk says that changes anything. */
export function deskHeaders(): Record<string, string> {
  saidAtMs = performance.now();
  return deskId === "" ? {} : { "X-Vesko-Desk": deskId };
}

/** Whether this window has just asked for a change: what changes now is its own doing. */
export const hasJustAsked = (): boolean => performance.now() - saidAtMs < OWN_WITHIN_MS;
