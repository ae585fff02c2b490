import type { Entry } from "../access/entry.ts";
import type { LiveWindow } from "./window.ts";

/** A window says who it is at once; what does not within this time is nobody. */
export const HELLO_WITHIN_MS = 5_000;
/** Windows that have not said who they are: of one address, and in all. */
const MOST_STRANGERS = 200;
const MOST_STRANGERS_OF_ONE = 60;
/** Windows of each kind: those who watch take no place from desks and outputs. */
const MOST: Readonly<Record<Entry["kind"], number>> = { desk: 100, output: 700, watch: 200, remote: 100 };
/** Windows with the same link: one that got about fills no house. */
const MOST_OF_ONE_LINK = 250;

/** Which stranger gives up its place, so that whoever comes next can say hello; undefined: there is room. */
export function findGivingWay(windows: Iterable<LiveWindow>, address: string): LiveWindow | undefined {
  const strangers = [...windows].filter(({ link }) => link === null);
  const ofOne = strangers.filter((window) => window.address === address);
  // The oldest: one that is honest has said hello long before it is that.
  if (ofOne.length >= MOST_STRANGERS_OF_ONE) return ofOne[0];
  if (strangers.length < MOST_STRANGERS) return undefined;
  const counts = new Map<string, number>();
  for (const { address: from } of strangers) counts.set(from, (counts.get(from) ?? 0) + 1);
  const [busiest] = [...counts].sort(([, a], [, b]) => b - a)[0] ?? [address];
  return strangers.find((window) => window.address === busiest);
}

/** Whether there is room for one more window with this link. */
export function hasRoom(windows: Iterable<LiveWindow>, entry: Entry): boolean {
  let ofKind = 0;
  let ofLink = 0;
  for (const { link } of windows) {
    if (link?.kind === entry.kind) ofKind++;
    if (link?.token === entry.token) ofLink++;
  }
  return ofKind < MOST[entry.kind] && ofLink < MOST_OF_ONE_LINK;
}
