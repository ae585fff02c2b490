import { setTimeout as wait } from "node:timers/promises";
import { between, type Fault } from "../fault.ts";

/** The server's process: ended without a word, ended again while it starts, frozen. */
export const PROCESS_FAULTS: readonly Fault[] = [
  {
    name: "killed",
    weight: 5,
    happen: async (evening) => {
      await evening.show.kill();
      await wait(between(evening, 0, 400));
      await evening.startAgain();
      return [];
    },
  },
  {
    name: "killed again while it starts",
    weight: 2,
    happen: async (evening) => {
      await evening.show.kill();
      const starting = evening.startAgain().catch(() => undefined);
      await wait(between(evening, 50, 2_500));
      await evening.show.kill();
      await starting;
      await evening.startAgain();
      return [];
    },
  },
  {
    name: "frozen",
    weight: 5,
    happen: async (evening) => {
      process.kill(evening.show.processId, "SIGSTOP");
      await wait(between(evening, 200, 3_000));
      process.kill(evening.show.processId, "SIGCONT");
      return [];
    },
  },
];
