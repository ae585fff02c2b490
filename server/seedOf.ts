import type { Seed } from "../designs/seed.ts";
import type { Flags } from "./flags.ts";

/** What a new show begins with. Only where there is none yet is it read: the designs that ship take a while. */
export async function seedOf(flags: Pick<Flags, "demo" | "with-faults">): Promise<Seed> {
  if (!flags.demo) return (await import("./newShow.ts")).emptyShow();
  if (flags["with-faults"]) return (await import("../demo/plantedFaults.ts")).faultyEvening();
  return (await import("../demo/lanternEvening.ts")).lanternEvening();
}
