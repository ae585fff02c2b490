import { Worker } from "node:worker_threads";
import { log } from "../log/log.ts";
import { afterRunning } from "../time/afterRunning.ts";
import { type Aside, type AsideAnswer, AsideFailed, type AsideJob } from "./aside.ts";

const MEMORY_MB = 512;

/** An `Aside` with one thread that is kept, for small jobs that come many times in a second; a job that goes wrong costs the thread. */
export interface KeptThread extends Aside {
  readonly close: () => void;
}

/** What the thread does now, and who waits for it. */
interface Running {
  readonly job: AsideJob;
  readonly settle: (answer: { readonly result: unknown } | { readonly why: AsideFailed["why"] }) => void;
}

/** Jobs are done one after another, each with a deadline. */
export function createKeptThread(workerFile: URL, deadlineMs: number): KeptThread {
  let thread: Worker | undefined;
  let running: Running | undefined;
  let queue: Promise<unknown> = Promise.resolve();
  let isClosed = false;

  const open = (): Worker => {
    const opened = new Worker(workerFile, { resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } });
    /** What one that was given up still says is no news. */
    const fail = (why: AsideFailed["why"]) => opened === thread && running?.settle({ why });
    opened.on("message", (answer: AsideAnswer) => {
      if (opened !== thread) return;
      if ("result" in answer) return running?.settle(answer);
      log.error(`${running?.job.task} failed aside: ${answer.name}: ${answer.failed}`);
      fail("broken");
    });
    opened.on("error", (error: NodeJS.ErrnoException) => {
      if (opened === thread) log.error(`${running?.job.task} broke its thread`, error);
      fail(error.code === "ERR_WORKER_OUT_OF_MEMORY" ? "memory" : "broken");
    });
    opened.on("exit", () => {
      fail("broken");
      if (opened === thread) thread = undefined;
    });
    return opened;
  };

  const end = () => {
    const ended = thread;
    thread = undefined;
    void ended?.terminate();
  };

  const runOne = (job: AsideJob): Promise<unknown> =>
    new Promise((resolve, reject) => {
      if (isClosed) return reject(new AsideFailed("calledOff"));
      thread ??= open();
      const stopWaiting = afterRunning(deadlineMs, () => running?.settle({ why: "late" }));
      running = {
        job,
        settle: (answer) => {
          stopWaiting();
          running = undefined;
          if ("result" in answer) return resolve(answer.result);
          end();
          reject(new AsideFailed(answer.why));
        },
      };
      thread.postMessage(job);
    });

  return {
    run(task, input) {
      const done = queue.then(() => runOne({ task, input }));
      queue = done.catch(() => {});
      return done as never;
    },
    close() {
      isClosed = true;
      running?.settle({ why: "calledOff" });
      end();
    },
  };
}
