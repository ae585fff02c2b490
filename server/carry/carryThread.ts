import { Worker } from "node:worker_threads";
import { t } from "../../core/language/t.ts";
import { workerFile } from "../aside/workerFile.ts";
import { log } from "../log/log.ts";
import type { CarryJob, CarryResults, OnProgress } from "./carrySteps.ts";
import type { CarryTold } from "./carryWorker.ts";

/** Text of a large show is in memory; its files are not. */
const MOST_MEMORY_MB = 1_024;

/** A job that was not done, with a sentence for the person who asked. */
export class CarryProblem extends Error {}
export class CarryCancelled extends Error {}

export type RunCarryJob = <K extends CarryJob["kind"]>(
  job: Extract<CarryJob, { kind: K }>,
  onProgress: OnProgress,
  signal: AbortSignal,
) => Promise<CarryResults[K]>;

/** Does a job in a thread of its own, which goes with it. @throws CarryProblem, CarryCancelled */
export const runInThread: RunCarryJob = (job, onProgress, signal) =>
  new Promise((resolve, reject) => {
    const worker = new Worker(workerFile("carry/carryWorker"), {
      workerData: job,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
    let isOver = false;
    const end = (settle: () => void) => {
      if (isOver) return;
      isOver = true;
      signal.removeEventListener("abort", cancel);
      void worker.terminate();
      settle();
    };
    const cancel = () => end(() => reject(new CarryCancelled(t`It was called off`)));
    const fail = (error: unknown) => {
      if (isOver) return;
      log.error(`A job with show files failed (${job.kind})`, error);
      end(() => reject(new CarryProblem(FAULT)));
    };
    signal.addEventListener("abort", cancel);
    worker.on("message", (told: CarryTold) => {
      if (told.kind === "share") onProgress(told.share);
      else if (told.kind === "done") end(() => resolve(told.result as never));
      else if (told.sentence === null) fail(told.message);
      else {
        const { sentence } = told;
        end(() => reject(new CarryProblem(sentence)));
      }
    });
    worker.once("error", fail);
    worker.once("exit", (code) => code !== 0 && fail(`its thread ended with ${code}`));
    if (signal.aborted) cancel();
  });

const FAULT = t`That failed for a fault of ours, which is in the server’s log. Nothing was changed; the show is as it was. Try again.`;
