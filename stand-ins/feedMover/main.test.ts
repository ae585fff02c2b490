import { spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { eventually } from "../../test-support/eventually.ts";

test("the mover rewrites the files, serves the same with conditions, and writes rubbish when it is told", async () => {
  const folder = mkdtempSync(join(tmpdir(), "vesko-mover-"));
  const main = join(import.meta.dirname, "main.ts");
  const flags = ["--folder", folder, "--port", "0", "--every-ms", "40", "--seed", "7"];
  const mover = spawn(process.execPath, ["--import", "tsx", main, ...flags]);
  let said = "";
  mover.stdout.on("data", (data) => {
    said += String(data);
  });
  const csv = () => readFileSync(join(folder, "lanterns.csv"), "utf8");
  try {
    await eventually(() => expect(said).toMatch(/http:\/\/127\.0\.0\.1:\d+\//));
    const base = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0] ?? "";
    const first = csv();
    expect(first).toMatch(/^street,lanterns,since\nRopewalk,\d+,/);
    await eventually(() => expect(csv()).not.toBe(first));
    const answer = await fetch(`${base}/race.json`);
    expect((await answer.json()).boats).toHaveLength(4);
    expect(answer.headers.get("etag")).toMatch(/^"\d+"$/);
    expect((await fetch(`${base}/nothing`)).status).toBe(404);
    await fetch(`${base}/rubbish?share=1`, { method: "POST" });
    await eventually(() =>
      expect(csv()).not.toMatch(/^street,lanterns,since\n(?:[\w ]+,\d+,\d\d:\d\d\n){5}$/),
    );
  } finally {
    const ended = once(mover, "exit");
    mover.kill();
    await ended;
    rmSync(folder, { recursive: true, force: true });
  }
}, 60_000);
