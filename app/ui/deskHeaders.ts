let deskId = "";

/** Which window of the desk this is: what it may do depends on whether it is locked, or only watches. */
export function setDeskId(windowId: string): void {
  deskId = windowId;
}

/** What every request of the desk says that changes anything. */
export const deskHeaders = (): Record<string, string> => (deskId === "" ? {} : { "X-Vesko-Desk": deskId });
