import { parentPort } from "node:worker_threads";
import type { AsideAnswer, AsideJob } from "./aside.ts";
import { TASKS } from "./tasks.ts";

/** A thread that is kept does one job after another; others end with their first. */
parentPort?.on("message", async ({ task, input }: AsideJob) => {
  try {
    const result = await TASKS[task](input as never);
    parentPort?.postMessage({ result } satisfies AsideAnswer);
  } catch (error) {
    const { name, stack } = error instanceof Error ? error : new Error(String(error));
    parentPort?.postMessage({ failed: stack ?? "", name } satisfies AsideAnswer);
  }
});
