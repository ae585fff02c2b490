import { Worker } from "node:worker_threads";
import { t } from "../../core/language/t.ts";
import { log } from "../log/log.ts";
import { afterRunning } from "../time/afterRunning.ts";
import { TASKS, type TaskInput, type TaskName, type TaskResult } from "./tasks.ts";

/** What is asked of a thread, and what it answers. */
export interface AsideJob {
  readonly task: TaskName;
  readonly input: unknown;
}
export type AsideAnswer = { readonly result: unknown } | { readonly failed: string; readonly name: string };

/** Work on files, done beside the server's own thread: a take never waits for it. */
export interface Aside {
  /** @throws AsideFailed when it takes too long, is called off, needs too much memory or breaks */
  run<T extends TaskName>(task: T, input: TaskInput<T>, signal?: AbortSignal): Promise<TaskResult<T>>;
}

export class AsideFailed extends Error {
  constructor(readonly why: "late" | "calledOff" | "memory" | "broken") {
    super(SENTENCES[why]);
  }
}

const SENTENCES = {
  late: t`Reading the file took too long and was given up. Nothing was brought in; bring it in smaller parts.`,
  calledOff: t`That was called off. Nothing was brought in.`,
  memory: t`Reading the file needs more memory than may be used for it. Nothing was brought in; bring it in parts.`,
  broken: t`The file could not be read, for a fault of ours that is in the server’s log. Nothing was brought in.`,
} as const;

const DEADLINE_MS = 60_000;
const MEMORY_MB = 768;
const MOST_AT_ONCE = 2;

/** Each job in a thread of its own, two at once, each with a deadline and a limit of memory. */
export function createAside(workerFile: URL, deadlineMs = DEADLINE_MS): Aside {
  let running = 0;
  const waiting: (() => void)[] = [];
  return {
    async run(task, input, signal) {
      if (running >= MOST_AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
      running++;
      try {
        return await runOne<never>(workerFile, { task, input }, deadlineMs, signal);
      } finally {
        running--;
        waiting.shift()?.();
      }
    },
  };
}

function runOne<T>(workerFile: URL, job: AsideJob, deadlineMs: number, signal?: AbortSignal): Promise<T> {
  if (signal?.aborted) return Promise.reject(new AsideFailed("calledOff"));
  return new Promise<T>((resolve, reject) => {
    const worker = new Worker(workerFile, { resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } });
    const settle = (finish: () => void) => {
      stopWaiting();
      signal?.removeEventListener("abort", callOff);
      worker.removeAllListeners();
      // What it still says while it ends is no news.
      worker.on("error", () => {});
      void worker.terminate();
      finish();
    };
    const stopWaiting = afterRunning(deadlineMs, () => settle(() => reject(new AsideFailed("late"))));
    const callOff = () => settle(() => reject(new AsideFailed("calledOff")));
    signal?.addEventListener("abort", callOff);
    worker.once("message", (answer: AsideAnswer) =>
      settle(() => {
        if ("result" in answer) resolve(answer.result as T);
        else {
          log.error(`${job.task} failed aside: ${answer.name}: ${answer.failed}`);
          reject(new AsideFailed("broken"));
        }
      }),
    );
    worker.once("error", (error: NodeJS.ErrnoException) =>
      settle(() => {
        log.error(`${job.task} broke its thread`, error);
        reject(new AsideFailed(error.code === "ERR_WORKER_OUT_OF_MEMORY" ? "memory" : "broken"));
      }),
    );
    worker.once("exit", () => settle(() => reject(new AsideFailed("broken"))));
    worker.postMessage(job);
  });
}

/** The same work where nobody waits: while a show is made, and in tests. */
export const INLINE_ASIDE: Aside = {
  run: async (task, input) => TASKS[task](input as never) as never,
};
