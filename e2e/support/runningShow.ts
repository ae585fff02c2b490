import { type ChildProcess, spawn } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const seeds = new Map<boolean, Promise<string>>();

/** A folder with a fresh show in it, made once by a server that was stopped: copies of it spare every test the texts. */
function seedFolder(isDemo: boolean): Promise<string> {
  const known = seeds.get(isDemo);
  if (known) return known;
  const folder = mkdtempSync(join(tmpdir(), "vesko-seed-"));
  process.on("exit", () => rmSync(folder, { recursive: true, force: true }));
  const making = new Promise<string>((resolve, reject) => {
    const child = spawnServer(join(folder, "show.db"), 0, isDemo, {});
    child.on("message", () => child.kill("SIGTERM"));
    child.on("exit", (code) =>
      code === 0 ? resolve(folder) : reject(new Error(`seeding ended with ${code}`)),
    );
  });
  seeds.set(isDemo, making);
  return making;
}

function spawnServer(
  databaseFile: string,
  port: number,
  isDemo: boolean,
  { args = [], env = {} }: RunOptions,
): ChildProcess {
  // Ports of its own: several shows run beside one another.
  const doors = ["--tally-port", "0", "--osc-port", "0"];
  const all = ["build/server/main.js", "--db", databaseFile, "--port", `${port}`, ...doors, ...args];
  if (isDemo) all.push("--demo");
  return spawn(process.execPath, all, {
    stdio: ["ignore", "pipe", "pipe", "ipc"],
    env: { ...process.env, NODE_ENV: "production", ...env },
  });
}

export interface RunOptions {
  /** More options of the server. */
  readonly args?: readonly string[];
  readonly env?: Readonly<Record<string, string>>;
  /** Where its files lie; a folder of its own, with a show in it, when not said. */
  readonly folder?: string;
  /** What it says of faults goes nowhere: they are asked for. */
  readonly isQuiet?: boolean;
}

/** A server of its own with a show of its own, as `node vesko.mjs` starts it. */
export class RunningShow {
  readonly #folder: string;
  readonly #isDemo: boolean;
  readonly #options: RunOptions;
  #process: ChildProcess | undefined;
  #port = 0;
  #printed = "";
  #said = "";

  constructor(isDemo: boolean, options: RunOptions = {}) {
    this.#isDemo = isDemo;
    this.#options = options;
    this.#folder = options.folder ?? mkdtempSync(join(tmpdir(), "vesko-e2e-"));
  }

  get base(): string {
    const at = this.#options.args?.indexOf("--host") ?? -1;
    const host = at < 0 ? "127.0.0.1" : this.#options.args?.[at + 1];
    return `http://${host}:${this.#port}`;
  }

  get processId(): number {
    const id = this.#process?.pid;
    if (id === undefined) throw new Error("no server runs");
    return id;
  }

  get databaseFile(): string {
    return join(this.#folder, "show.db");
  }

  /** The port on which it hears tallies, or messages. */
  devicePort(of: "tally" | "osc"): number {
    const name = of === "tally" ? "Tally \\(UMD\\)" : "OSC";
    const port = new RegExp(`${name} +UDP port (\\d+)`).exec(this.#printed)?.[1];
    if (port === undefined) throw new Error(`No port for ${of} stands in: ${this.#printed}`);
    return Number(port);
  }

  /** What it printed since it was started. */
  get printed(): string {
    return this.#printed;
  }

  /** What it said of faults since it was started. */
  get said(): string {
    return this.#said;
  }

  get isRunning(): boolean {
    const child = this.#process;
    return child !== undefined && child.exitCode === null && child.signalCode === null;
  }

  /** Starts the server; again on the same port after a stop. */
  async start(more: RunOptions = {}): Promise<void> {
    if (!this.#options.folder && !existsSync(this.databaseFile))
      cpSync(await seedFolder(this.#isDemo), this.#folder, { recursive: true });
    this.#printed = "";
    this.#said = "";
    const child = spawnServer(this.databaseFile, this.#port, this.#isDemo, {
      args: [...(this.#options.args ?? []), ...(more.args ?? [])],
      env: { ...this.#options.env, ...more.env },
    });
    this.#process = child;
    child.stdout?.on("data", (data) => {
      this.#printed += String(data);
    });
    child.stderr?.on("data", (data) => {
      this.#said += String(data);
      if (!this.#options.isQuiet) process.stderr.write(data);
    });
    this.#port = await new Promise<number>((resolve, reject) => {
      child.on("message", (message: { port: number }) => resolve(message.port));
      child.on("exit", (code, signal) =>
        reject(new Error(`the server ended with ${code ?? signal}: ${this.#printed}${this.#said}`)),
      );
    });
  }

  /** Ends the server without a warning. */
  kill(): Promise<void> {
    return this.#end("SIGKILL");
  }

  /** Asks the server to end, as Ctrl+C does. */
  close(): Promise<void> {
    return this.#end("SIGTERM");
  }

  /** Waits until it ended by itself. */
  async untilEnded(): Promise<void> {
    const child = this.#process;
    if (!child || !this.isRunning) return;
    await new Promise((resolve) => child.once("exit", resolve));
  }

  async stop(): Promise<void> {
    await this.kill();
    if (!this.#options.folder) rmSync(this.#folder, { recursive: true, force: true });
  }

  async #end(signal: NodeJS.Signals): Promise<void> {
    const child = this.#process;
    if (!child || !this.isRunning) return;
    const ended = new Promise((resolve) => child.once("exit", resolve));
    child.kill(signal);
    await ended;
  }

  /** The link printed for an output, in the order of outputs. */
  outputLink(index: number): string {
    const links = [...this.#printed.matchAll(/http:\S+\/out\/\S+/g)].map(([link]) => link);
    const link = links[index];
    if (!link) throw new Error(`no link ${index} among: ${this.#printed}`);
    return link;
  }
}
