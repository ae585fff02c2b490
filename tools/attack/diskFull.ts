import { spawnSync } from "node:child_process";
import { closeSync, mkdtempSync, openSync, rmSync, statfsSync, writeSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import type { Attack } from "./attack.ts";
import { Taker } from "./taker.ts";

const SIZE_MB = 96;

/** A disk that fills up in the middle of a show, and is emptied again. */
export const diskFull: Attack = {
  name: "a full disk",
  run: async () => {
    const folder = mkdtempSync(join(tmpdir(), "vesko-full-"));
    const { status } = spawnSync("mount", ["-t", "tmpfs", "-o", `size=${SIZE_MB}m`, "tmpfs", folder]);
    if (status !== 0) {
      rmSync(folder, { recursive: true, force: true });
      return { skipped: "a small disk cannot be mounted by this user" };
    }
    const broken: string[] = [];
    const show = new RunningShow(true, { folder, isQuiet: true });
    const health = async () => (await fetch(`${show.base}/healthz`)).status;
    const edit = async (name: string) => {
      const answer = await fetch(`${show.base}/edit`, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({
          actor: "attack-person",
          edit: {
            kind: "addCue",
            cueId: `attack-${name}`,
            afterId: null,
            doc: { kind: "remark", text: "x".repeat(60_000).slice(0, 300) },
          },
        }),
      });
      return [
        answer.status,
        (await answer.json()) as { problem?: { code: string; sentence: string } },
      ] as const;
    };
    let waited = 0;
    let edits = 0;
    try {
      await show.start();
      const desk = await Taker.join(show);
      await desk.take();
      const filler = join(folder, "filler");
      fill(folder, filler);
      // Takes go on until the room that the log had set aside is used, and then in memory.
      for (let i = 0; i < 4_000 && (await health()) === 200; i++)
        for (let n = 0; n < 25; n++) await desk.take();
      if ((await health()) !== 503) broken.push("the disk never filled up");
      for (let i = 0; i < 20; i++) {
        await desk.take();
        waited++;
      }
      // What was folded in meanwhile has made room in the log: edits are saved until the file itself would have to grow.
      let [code, refused] = await edit("while-full-0");
      for (let i = 1; i < 6_000 && code === 200; i++) {
        edits++;
        [code, refused] = await edit(`while-full-${i}`);
      }
      if (code !== 507 || !/disk is full/.test(refused.problem?.sentence ?? ""))
        broken.push(`an edit was answered with ${code} ${JSON.stringify(refused)}`);
      if (!show.isRunning) broken.push("the server ended");
      if (/A fault of ours/.test(show.said))
        broken.push(`a fault reached the process: ${show.said.slice(-600)}`);
      rmSync(filler);
      for (let i = 0; i < 600 && (await health()) !== 200; i++)
        await new Promise((resolve) => setTimeout(resolve, 100));
      if ((await health()) !== 200) broken.push("the air was not written when there was room again");
      const [again] = await edit("after-full");
      if (again !== 200) broken.push(`an edit after it was answered with ${again}`);
      const { seq } = desk;
      desk.end();
      await show.kill();
      await show.start();
      const back = await Taker.join(show);
      if (back.seq !== seq) broken.push(`after a kill the air is at ${back.seq}, not ${seq}`);
      back.end();
    } finally {
      await show.kill();
      spawnSync("umount", [folder]);
      rmSync(folder, { recursive: true, force: true });
    }
    return {
      tries: waited,
      broken,
      figures: [
        `${waited} takes in memory while the disk of ${SIZE_MB} MB was full, all written afterwards; ${edits} edits found room before one was refused`,
      ],
    };
  },
};

/** Leaves no room at all. */
function fill(folder: string, file: string): void {
  const handle = openSync(file, "w");
  const block = Buffer.alloc(64 * 1024);
  try {
    for (;;) {
      const { bavail, bsize } = statfsSync(folder);
      const left = bavail * bsize;
      if (left === 0) return;
      writeSync(handle, block.subarray(0, Math.min(block.length, left)));
    }
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "ENOSPC") throw error;
  } finally {
    closeSync(handle);
  }
}
