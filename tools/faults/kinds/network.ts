import { setTimeout as wait } from "node:timers/promises";
import type { Evening } from "../evening.ts";
import type { FarWindow } from "../farWindow.ts";
import { between, type Fault } from "../fault.ts";

/** Some of the windows, at least one. */
function some({ windows, random }: Evening): FarWindow[] {
  const chosen = windows.filter(() => random() < 0.4);
  const one = windows[Math.floor(random() * windows.length)];
  return chosen.length > 0 || !one ? chosen : [one];
}

const onSome =
  (trouble: (window: FarWindow, evening: Evening) => void, fromMs: number, toMs: number): Fault["happen"] =>
  async (evening) => {
    const windows = some(evening);
    for (const window of windows) trouble(window, evening);
    await wait(between(evening, fromMs, toMs));
    for (const { wire } of windows) wire.mend();
    return [];
  };

/** What lies between the server and desks, outputs, phones and devices. */
export const NETWORK_FAULTS: readonly Fault[] = [
  { name: "network cut", weight: 5, happen: onSome(({ wire }) => wire.cut(), 100, 2_500) },
  { name: "network holds everything back", weight: 4, happen: onSome(({ wire }) => wire.hold(), 200, 3_000) },
  {
    name: "network slow, pieces overtake each other",
    weight: 4,
    happen: onSome(({ wire }, { random }) => wire.slow(() => random() * 400), 600, 2_500),
  },
  { name: "network deaf", weight: 1, happen: onSome(({ wire }) => wire.deafen(), 6_500, 7_000) },
  {
    name: "packets of the mixer lost, doubled, out of order",
    weight: 3,
    happen: async (evening) => {
      evening.udp.misbehave(true);
      await wait(between(evening, 500, 2_000));
      evening.udp.misbehave(false);
      return [];
    },
  },
];
