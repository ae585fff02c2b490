import { readdirSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import type { Evening } from "../evening.ts";
import { between, type Fault } from "../fault.ts";

const folderOf = ({ show }: Evening): string => `${show.databaseFile}.feeds`;

/** The files and folder that fill pages; the mover beside it writes whole files all the time, a fifth of them rubbish. */
export const FEED_FAULTS: readonly Fault[] = [
  {
    name: "feeds gone, and back",
    weight: 2,
    happen: async (evening) => {
      const folder = folderOf(evening);
      const aside = `${folder}.away`;
      rmSync(aside, { recursive: true, force: true });
      renameSync(folder, aside);
      await wait(between(evening, 300, 1_500));
      // The mover may have made a file there meanwhile.
      rmSync(folder, { recursive: true, force: true });
      renameSync(aside, folder);
      return [];
    },
  },
  {
    name: "feeds full of rubbish",
    weight: 2,
    happen: async (evening) => {
      const folder = folderOf(evening);
      const untilMs = performance.now() + between(evening, 300, 1_500);
      while (performance.now() < untilMs) {
        for (const name of readdirSync(folder))
          writeFileSync(join(folder, name), Buffer.from(name.repeat(1 + Math.floor(evening.random() * 400))));
        await wait(60);
      }
      return [];
    },
  },
];
