import { spawn } from "node:child_process";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import type { Attack } from "./attack.ts";
import { Taker } from "./taker.ts";

function start(args: readonly string[]): Promise<{ readonly code: number | null; readonly said: string }> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, ["build/server/main.js", ...args], {
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, NODE_ENV: "production" },
    });
    let said = "";
    for (const stream of [child.stdout, child.stderr])
      stream.on("data", (data) => {
        said += String(data);
        // One that serves is one too many.
        if (said.includes("Stop with Ctrl+C")) child.kill("SIGKILL");
      });
    child.on("exit", (code) => resolve({ code, said }));
  });
}

/** Others start on the same database, on other ports and on the same, many at once. */
export const twoServers: Attack = {
  name: "a second server on the same database",
  run: async (isLong) => {
    const show = new RunningShow(true, { isQuiet: true });
    await show.start();
    const desk = await Taker.join(show);
    await desk.take();
    const broken: string[] = [];
    const port = new URL(show.base).port;
    const count = isLong ? 20 : 6;
    const others = await Promise.all(
      Array.from({ length: count }, (_, i) =>
        start(["--db", show.databaseFile, "--port", i % 3 === 0 ? port : "0"]),
      ),
    );
    for (const { code, said } of others) {
      if (code !== 2) broken.push(`a second server ended with ${code}: ${said.slice(0, 200)}`);
      if (!/is open already, by the Vesko at http|is in use, perhaps by a Vesko/.test(said))
        broken.push(`a second server does not say who has it: ${said.slice(0, 200)}`);
      if (/\n\s+at /.test(said)) broken.push(`a stack was shown: ${said.slice(0, 200)}`);
    }
    await desk.take();
    await desk.take();
    if (desk.acknowledged.length !== 3) broken.push("the first server does not go on");
    desk.end();
    // Ended without a warning, its lock ends with it.
    await show.kill();
    await show.start();
    await show.stop();
    return { tries: count, broken, figures: [] };
  },
};
