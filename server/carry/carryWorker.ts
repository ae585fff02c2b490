import { parentPort, workerData } from "node:worker_threads";
import { t } from "../../core/language/t.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import { StartProblem } from "../startProblem.ts";
import { isStorageTrouble } from "../store/storageTrouble.ts";
import { type CarryJob, carryOut } from "./carrySteps.ts";

/** What a thread says of its job. */
export type CarryTold =
  | { readonly kind: "share"; readonly share: number }
  | { readonly kind: "done"; readonly result: unknown }
  /** Null: a fault of ours. */
  | { readonly kind: "failed"; readonly sentence: string | null; readonly message: string };

const NO_ROOM = t`The disk is full or cannot be written, so it was not done. All that you have is as it was; make room and try again.`;
/** Nobody sees more often than so. */
const TELL_EVERY_MS = 100;

const tell = (told: CarryTold) => parentPort?.postMessage(told);
let toldAtMs = 0;
try {
  const result = await carryOut(workerData as CarryJob, (share) => {
    const nowMs = performance.now();
    if (nowMs - toldAtMs < TELL_EVERY_MS) return;
    toldAtMs = nowMs;
    tell({ kind: "share", share });
  });
  tell({ kind: "done", result });
} catch (error) {
  const sentence =
    error instanceof FileProblem || error instanceof StartProblem
      ? error.message
      : isStorageTrouble(error)
        ? NO_ROOM
        : null;
  tell({
    kind: "failed",
    sentence,
    message: error instanceof Error ? (error.stack ?? error.message) : String(error),
  });
}
