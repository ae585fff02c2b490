import { parentPort } from "node:worker_threads";
import type { AsideAnswer, AsideJob } from "./aside.ts";
import { TASKS } from "./tasks.ts";

parentPort?.once("message", async ({ task, input }: AsideJob) => {
  try {
    const result = await TASKS[task](input as never);
    parentPort?.postMessage({ result } satisfies AsideAnswer);
  } catch (error) {
    const { name, stack } = error instanceof Error ? error : new Error(String(error));
    parentPort?.postMessage({ failed: stack ?? "", name } satisfies AsideAnswer);
  }
});
