import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import type { RunningShow } from "./runningShow.ts";

/** The mixer that ships, as a process of its own, telling one show what it does. */
export class RunningMixer {
  readonly #process: ChildProcess;
  readonly base: string;

  private constructor(child: ChildProcess, base: string) {
    this.#process = child;
    this.base = base;
  }

  static async start(show: RunningShow, ...more: readonly string[]): Promise<RunningMixer> {
    const to = (of: "tally" | "osc") => `127.0.0.1:${show.devicePort(of)}`;
    const ports = ["--port", "0", "--osc-port", "0", "--tally-port", "0"];
    const flags = [...ports, "--tally-to", to("tally"), "--osc-to", to("osc"), ...more];
    const child = spawn(process.execPath, ["--import", "tsx", "stand-ins/mixer/main.ts", ...flags], {
      stdio: ["ignore", "pipe", "inherit"],
    });
    let said = "";
    for await (const data of child.stdout) {
      said += String(data);
      const base = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0];
      if (base) return new RunningMixer(child, base);
    }
    throw new Error(`The mixer ended: ${said}`);
  }

  async do(kind: string, value?: number | boolean | string): Promise<void> {
    const answer = await fetch(`${this.base}/do`, { method: "POST", body: JSON.stringify({ kind, value }) });
    if (!answer.ok) throw new Error(`The mixer did not understand ${kind} ${value}`);
  }

  async heard(): Promise<readonly string[]> {
    return ((await (await fetch(`${this.base}/state`)).json()) as { heard: string[] }).heard;
  }

  /** It is gone without a word. */
  async kill(): Promise<void> {
    if (this.#process.exitCode !== null || this.#process.signalCode !== null) return;
    const gone = once(this.#process, "exit");
    this.#process.kill("SIGKILL");
    await gone;
  }
}
