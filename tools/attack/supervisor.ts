import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { type AddressInfo, createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Attack } from "./attack.ts";

/** A first start on a slow disk, in the midst of other tests: what is asked is whether it comes, not how fast. */
const STARTS_WITHIN_MS = 300_000;

/** A port that nobody has: the same tests may run beside these. */
function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer();
    server.listen(0, "127.0.0.1", () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
}

/** The command that people start: it brings a server back that died, stops with it, and passes its exit on. */
export const supervisor: Attack = {
  name: "a server that dies under the command that started it",
  run: async () => {
    const folder = mkdtempSync(join(tmpdir(), "vesko-supervisor-"));
    const broken: string[] = [];
    const port = await freePort();
    const command = spawn(
      process.execPath,
      ["vesko.mjs", "demo", "--db", join(folder, "show.db"), "--port", `${port}`],
      {
        stdio: ["ignore", "pipe", "pipe"],
      },
    );
    let said = "";
    for (const stream of [command.stdout, command.stderr])
      stream.on("data", (data) => {
        said += String(data);
      });
    const ended = new Promise<number | null>((resolve) => command.once("exit", resolve));
    const serverId = () =>
      spawnSync("ps", ["--ppid", String(command.pid), "-o", "pid="])
        .stdout.toString()
        .trim();
    const answers = async () => {
      const untilMs = performance.now() + STARTS_WITHIN_MS;
      while (performance.now() < untilMs && command.exitCode === null) {
        const answer = await fetch(`http://127.0.0.1:${port}/healthz`).catch(() => undefined);
        if (answer?.ok) return true;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
      return false;
    };
    try {
      if (!(await answers()))
        return { tries: 1, broken: [`it did not start: ${said.slice(-600)}`], figures: [] };
      const first = serverId();
      process.kill(Number(first), "SIGKILL");
      const from = performance.now();
      if (!(await answers())) broken.push(`a server that died was not started again: ${said.slice(-600)}`);
      const backMs = performance.now() - from;
      const second = serverId();
      if (second === first) broken.push("it is the same server");
      // The next dies before it has the show open: it is one death more, and no reason to give up.
      process.kill(Number(second), "SIGKILL");
      let third = "";
      while ((third === "" || third === second) && command.exitCode === null) {
        await new Promise((resolve) => setTimeout(resolve, 20));
        third = serverId();
      }
      if (third !== "") process.kill(Number(third), "SIGKILL");
      if (!(await answers()))
        broken.push(`a server that died while it began was not started again: ${said.slice(-600)}`);
      if (!/ended by itself \(SIGKILL\) and is started again/.test(said))
        broken.push("it does not say that it was started again");
      command.kill("SIGTERM");
      const code = await ended;
      if (code !== 0) broken.push(`it ended with ${code}: ${said.slice(-600)}`);
      const wrong = spawnSync(process.execPath, ["vesko.mjs", "demo", "--port", "none"]);
      if (wrong.status !== 2) broken.push(`a start that cannot be ended with ${wrong.status}`);
      return { tries: 4, broken, figures: [`back after ${(backMs / 1_000).toFixed(1)} s`] };
    } finally {
      command.kill("SIGTERM");
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
