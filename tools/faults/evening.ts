import { type ChildProcess, spawn } from "node:child_process";
import { cpSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { CutProxy } from "../../e2e/support/cutProxy.ts";
import { RunningMixer } from "../../e2e/support/mixer.ts";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import { deskToken, tokenIn } from "../../test-support/deskPage.ts";
import { FarWindow } from "./farWindow.ts";
import { Machine } from "./machine.ts";
import { UdpWire } from "./udpWire.ts";

const CUES_EDITED = 12;
const ANSWERED_WITHIN_MS = 4_000;

/** What was acknowledged and not looked up yet. */
export interface Acknowledged {
  readonly takes: string[];
  /** Cue → the number of the newest text of it that is known to be saved. */
  readonly edits: Map<string, number>;
}

/**
 * An evening of the demo that goes on by itself while things happen to it: one desk takes, undoes and clears, another edits, a phone
 * presses, tables change, the mixer cuts between cameras, clips play. What is pressed comes from a seed.
 */
export class Evening {
  readonly random: () => number;
  readonly machine: Machine;
  readonly show: RunningShow;
  readonly udp: UdpWire;
  readonly acknowledged: Acknowledged = { takes: [], edits: new Map() };
  windows: FarWindow[] = [];
  pressed = 0;
  readonly #folder: string;
  /** Cue → the number of the newest text of it that was sent. */
  readonly sent = new Map<string, number>();
  #mover: ChildProcess | undefined;
  #mixer: RunningMixer | undefined;
  #isOver = false;
  #isCalm = false;
  #working: Promise<unknown>[] = [];
  #count = 0;

  private constructor(folder: string, machine: Machine, udp: UdpWire, random: () => number) {
    this.#folder = folder;
    this.machine = machine;
    this.udp = udp;
    this.random = random;
    const at = join(folder, "show");
    this.show = new RunningShow(true, { folder: at, isQuiet: true, env: machine.environment(at) });
  }

  /** @returns undefined where there is no compiler */
  static async open(random: () => number): Promise<Evening | undefined> {
    const folder = mkdtempSync(join(tmpdir(), "vesko-faults-"));
    const machine = Machine.build(folder);
    if (!machine) return undefined;
    const seed = new RunningShow(true, { isQuiet: true });
    await seed.start();
    await seed.close();
    cpSync(join(seed.databaseFile, ".."), join(folder, "show"), { recursive: true });
    await seed.stop();
    const evening = new Evening(folder, machine, await UdpWire.open(random), random);
    await evening.#begin();
    return evening;
  }

  /** How many outputs it has. */
  get outputs(): FarWindow[] {
    return this.windows.filter(({ name }) => name.startsWith("output"));
  }

  desk(name: "takes" | "edits"): FarWindow {
    const desk = this.windows.find((window) => window.name === `desk-${name}`);
    if (!desk) throw new Error(`There is no desk that ${name}`);
    return desk;
  }

  /** Starts the server again on the same show. */
  async startAgain(): Promise<void> {
    await this.show.start();
    this.udp.leadTo(this.show.devicePort("tally"));
  }

  /** Nobody presses anything for a moment. */
  async calm<T>(work: () => Promise<T>): Promise<T> {
    this.#isCalm = true;
    try {
      return await work();
    } finally {
      this.#isCalm = false;
    }
  }

  async close(): Promise<void> {
    this.#isOver = true;
    this.machine.mend();
    this.#mover?.kill("SIGKILL");
    await this.#mixer?.kill();
    for (const window of this.windows) window.end();
    this.udp.close();
    await Promise.allSettled(this.#working);
    await this.show.kill();
    rmSync(this.#folder, { recursive: true, force: true });
  }

  async #begin(): Promise<void> {
    await this.startAgain();
    const { show } = this;
    const token = await deskToken(show.base);
    const made = await this.post("/remote-link", {
      kind: "make",
      id: "faults-phone",
      link: { name: "Phone in the aisle", can: "all", view: "both", isHeld: false, outputId: "" },
    });
    if (!made) throw new Error("The link of the phone was not made");
    const phone = await phoneToken(show.base);
    const outputs = [0, 1, 2, 3].map((i) => show.outputLink(i).split("/").at(-1) ?? "");
    const wanted = [
      ["desk-takes", token],
      ["desk-edits", token],
      ...outputs.map((output, i) => [`output-${i}`, output] as const),
      ["phone", phone],
    ] as const;
    for (const [name, link] of wanted)
      this.windows.push(new FarWindow(name, await CutProxy.before(show.base), `${show.base}/`, link));
    const feeds = `${show.databaseFile}.feeds`;
    const flags = ["--folder", feeds, "--port", "0", "--every-ms", "400", "--rubbish", "20"];
    this.#mover = spawn(process.execPath, ["--import", "tsx", "stand-ins/feedMover/main.ts", ...flags], {
      stdio: "ignore",
    });
    this.#mixer = await RunningMixer.start(show, "--by-itself", "--tally-to", `127.0.0.1:${this.udp.port}`);
    while (!this.windows.every(({ isHeard }) => isHeard)) await wait(20);
    this.#working = [this.#takes(), this.#edits(), this.#presses()];
  }

  async #takes(): Promise<void> {
    const desk = this.desk("takes");
    while (!this.#isOver) {
      await wait(30 + this.random() * 220);
      const { state, preloaded } = desk.copy;
      if (this.#isCalm || !desk.isHeard || !state) continue;
      const luck = this.random();
      const [target] = preloaded;
      const last = state.acts.at(-1);
      const id = `faults-${luck < 0.8 && target ? "take" : "other"}-${this.#count++}-${Date.now()}`;
      if (luck < 0.8 && target)
        await this.#command(desk, {
          ...{ kind: "take", id, target, how: luck < 0.4 ? "cut" : "usual", builtOn: state.airRevision },
        });
      else if (luck < 0.87 && last) await this.#command(desk, { kind: "undo", id, actId: last.actId });
      else if (luck < 0.9) await this.#command(desk, { kind: "clearEverything", id, how: "cut" });
      else await this.#command(desk, { kind: "beginAnew", id });
    }
  }

  /** @returns whether it was answered */
  async #command(desk: FarWindow, command: { readonly id: string } & Record<string, unknown>): Promise<void> {
    this.pressed++;
    if (!desk.say({ kind: "command", command })) return;
    const answered = await this.#answerTo(desk, command.id);
    if (answered === null && command.kind === "take") this.acknowledged.takes.push(command.id);
  }

  /** Why it was refused; null: it was done; undefined: nobody answered. */
  async #answerTo(window: FarWindow, id: string): Promise<string | null | undefined> {
    const untilMs = performance.now() + ANSWERED_WITHIN_MS;
    while (!this.#isOver && performance.now() < untilMs) {
      if (window.answers.has(id)) return window.answers.get(id);
      await wait(4);
    }
    return undefined;
  }

  async #edits(): Promise<void> {
    for (let i = 0; i < CUES_EDITED; i++) this.sent.set(`faults-cue-${i}`, 0);
    while (!this.#isOver) {
      await wait(60 + this.random() * 300);
      if (this.#isCalm) continue;
      const cueId = `faults-cue-${Math.floor(this.random() * CUES_EDITED)}`;
      const number = (this.sent.get(cueId) ?? 0) + 1;
      this.sent.set(cueId, number);
      this.pressed++;
      // Added anew each time: an add of what is there still would be answered as one that came twice.
      if ((await this.#edit({ kind: "deleteCue", cueId })) === undefined) continue;
      const doc = { kind: "remark", text: `number ${number}` };
      const saved = await this.#edit({ kind: "addCue", cueId, afterId: null, doc });
      if (saved === "saved") this.acknowledged.edits.set(cueId, number);
    }
  }

  async #edit(edit: object): Promise<string | undefined> {
    const wire = this.desk("edits").wire.through(`${this.show.base}/`).replace(/\/$/, "");
    const answer = await this.post("/edit", { actor: "faults-person", edit }, wire);
    return (answer as { kind?: string } | undefined)?.kind;
  }

  async #presses(): Promise<void> {
    const phone = this.windows.find(({ name }) => name === "phone");
    while (!this.#isOver && phone) {
      await wait(500 + this.random() * 2_000);
      const seen = phone.remote?.view.seen;
      if (this.#isCalm || !phone.isHeard || seen === undefined) continue;
      this.pressed++;
      const id = `faults-press-${this.#count++}-${Date.now()}`;
      const at = Date.now() + this.machine.clockAheadMs;
      if (phone.say({ kind: "press", id, press: "take", seen, atMs: at })) await this.#answerTo(phone, id);
    }
  }

  /** @returns the answer; undefined when there was none, or it was refused */
  async post(path: string, body: unknown, base = this.show.base): Promise<unknown> {
    try {
      const answer = await fetch(base + path, {
        method: "POST",
        headers: { "Content-Type": "application/json", Origin: base },
        body: JSON.stringify(body),
        signal: AbortSignal.timeout(ANSWERED_WITHIN_MS),
      });
      return answer.ok ? await answer.json() : undefined;
    } catch {
      return undefined;
    }
  }
}

async function phoneToken(base: string): Promise<string> {
  return tokenIn(await (await fetch(`${base}/phones`)).text(), "token");
}
