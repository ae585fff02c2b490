import { t } from "../../core/language/t.ts";
import {
  flappingInputs,
  type Heard,
  hear,
  NOTHING_HEARD,
  noticeLoss,
  settle,
  TOGETHER_MS,
} from "../../core/tally/settle.ts";
import { looksLikeUmd5, readUmd5, UMD5_MOST_BYTES } from "../../core/tally/umd5.ts";
import { readUmd31 } from "../../core/tally/umd31.ts";
import type { FollowSettings } from "../../core/triggers/followSettings.ts";
import type { MessageValue } from "../../core/triggers/happening.ts";
import type { DoorView } from "../../core/wire/followView.ts";
import { readOsc } from "./osc.ts";
import { UdpDoor } from "./udpDoor.ts";

export interface LinksParts {
  readonly host: string;
  /** Ports that devices send to; absent: not asked for. */
  readonly tallyPort?: number;
  readonly oscPort?: number;
  /** Who may send, besides this machine. */
  readonly allowed: readonly string[];
  readonly now: () => number;
  readonly settings: () => FollowSettings;
  /** Which inputs are on the buses now. @param isQuiet nothing is to come of it */
  readonly onInputs: (
    on: { readonly program: readonly number[]; readonly preview: readonly number[] },
    isQuiet: boolean,
  ) => void;
  readonly onMessage: (address: string, args: readonly MessageValue[]) => void;
  readonly onNews: (sentence: string) => void;
  readonly onChange: () => void;
}

/** A message that is to count later than this is not waited for. */
const LONGEST_AHEAD_MS = 5_000;
const MOST_WAITING = 200;
const LOOK_EVERY_MS = 500;
const NEWS_EVERY_MS = 10_000;

/** What other devices say: tallies by UMD, and messages by OSC. What is not understood changes nothing. */
export class Links {
  readonly #parts: LinksParts;
  #tally: UdpDoor | undefined;
  #osc: UdpDoor | undefined;
  #heard: Heard = NOTHING_HEARD;
  #settling: ReturnType<typeof setTimeout> | undefined;
  readonly #looking: ReturnType<typeof setInterval>;
  readonly #waiting = new Set<ReturnType<typeof setTimeout>>();
  #flapping: readonly number[] = [];
  readonly #saidAtMs = new Map<string, number>();
  /** A mixer may say by messages what another says by tallies: each of them stays. */
  #onByMessage: { program: readonly number[]; preview: readonly number[] } = { program: [], preview: [] };

  constructor(parts: LinksParts) {
    this.#parts = parts;
    this.#looking = setInterval(() => this.#look(), LOOK_EVERY_MS);
  }

  async open(): Promise<void> {
    const { host, allowed, now, onChange, tallyPort, oscPort } = this.#parts;
    const common = { host, allowed, now, onChange };
    if (tallyPort !== undefined)
      this.#tally = await UdpDoor.open({
        ...common,
        name: t`Tally`,
        port: tallyPort,
        onPacket: (bytes) => this.#hearTally(bytes),
      });
    if (oscPort !== undefined)
      this.#osc = await UdpDoor.open({
        ...common,
        name: "OSC",
        port: oscPort,
        onPacket: (bytes) => this.#hearOsc(bytes),
      });
  }

  close(): void {
    clearInterval(this.#looking);
    clearTimeout(this.#settling);
    for (const timer of this.#waiting) clearTimeout(timer);
    this.#tally?.close();
    this.#osc?.close();
  }

  /** Inputs whose tally changes too often to be followed. */
  get flapping(): readonly number[] {
    return this.#flapping;
  }

  doors(): DoorView[] {
    return (
      [
        ["tally", this.#tally],
        ["osc", this.#osc],
      ] as const
    ).map(([kind, door]) => ({
      kind,
      port: door?.port ?? null,
      problem: door?.problem ?? null,
      heardAtMs: door?.heardAtMs ?? null,
      isLost: kind === "tally" && this.#heard.isLost,
      turnedAway: {
        strangers: door?.strangers ?? 0,
        notUnderstood: door?.notUnderstood ?? 0,
        tooMany: door?.tooMany ?? 0,
      },
      lastProblem: door?.lastProblem ?? null,
    }));
  }

  #hearTally(bytes: Uint8Array): string | undefined {
    if (bytes.length > UMD5_MOST_BYTES) return t`it has ${bytes.length} bytes`;
    const read = looksLikeUmd5(bytes) ? readUmd5(bytes) : readUmd31(bytes, this.#parts.settings().umd31);
    if ("problem" in read) return read.problem;
    const { now, onNews, onChange } = this.#parts;
    const wasLost = this.#heard.isLost;
    const isFirst = this.#heard.heardAtMs.length === 0;
    this.#heard = hear(this.#heard, read.reports, now());
    if (wasLost)
      onNews(
        t`The mixer is heard again. What changed at it meanwhile has set nothing off; titles are as they were. Look, and put right by hand what is wrong.`,
      );
    if (wasLost || isFirst) onChange();
    this.#settleSoon();
    return undefined;
  }

  #settleSoon(): void {
    const { lookAtMs } = this.#heard;
    clearTimeout(this.#settling);
    if (lookAtMs === null) return;
    const waitMs = Math.max(0, Math.min(lookAtMs - this.#parts.now(), 1_000));
    this.#settling = setTimeout(() => {
      const { heard, on, isQuiet } = settle(this.#heard, this.#parts.now());
      this.#heard = heard;
      if (on) this.#parts.onInputs(on, isQuiet);
      this.#tellFlapping();
      this.#settleSoon();
    }, waitMs);
  }

  #look(): void {
    const { now, onNews, onChange } = this.#parts;
    const before = this.#heard;
    this.#heard = noticeLoss(before, now());
    if (this.#heard.isLost && !before.isLost) {
      onNews(
        t`The mixer is not heard any more. Titles stay as they are, and nothing comes or leaves by its cameras; go on by hand.`,
      );
      onChange();
    }
    this.#tellFlapping();
  }

  #tellFlapping(): void {
    const flapping = flappingInputs(this.#heard, this.#parts.now());
    if (flapping.join() === this.#flapping.join()) return;
    const fresh = flapping.filter((input) => !this.#flapping.includes(input));
    this.#flapping = flapping;
    this.#parts.onChange();
    if (fresh.length > 0)
      this.#sayNowAndThen(
        "flapping",
        t`The tally of input ${fresh.join(", ")} changes many times in a second. It counts as it was until it is calm; titles stay.`,
      );
  }

  #hearOsc(bytes: Uint8Array): string | undefined {
    const read = readOsc(bytes);
    if ("problem" in read) return read.problem;
    const { now } = this.#parts;
    let problem: string | undefined;
    for (const { address, args, atMs } of read.messages) {
      const waitMs = atMs === null ? 0 : atMs - now();
      if (waitMs <= TOGETHER_MS) this.#take(address, args);
      else if (waitMs > LONGEST_AHEAD_MS || this.#waiting.size >= MOST_WAITING)
        problem = t`${address} was to count ${Math.round(waitMs / 1_000)} s later; its clock may be wrong`;
      else {
        const timer = setTimeout(() => {
          this.#waiting.delete(timer);
          this.#take(address, args);
        }, waitMs);
        this.#waiting.add(timer);
      }
    }
    return problem;
  }

  #take(address: string, args: readonly MessageValue[]): void {
    const { oscProgram, oscPreview } = this.#parts.settings();
    const bus = address === oscProgram ? "program" : address === oscPreview ? "preview" : undefined;
    const [input] = args;
    if (bus && typeof input === "number" && Number.isInteger(input) && input >= 0) {
      // Tallies say more than this: while they come, they are believed.
      const isTallied = this.#heard.heardAtMs.length > 0 && !this.#heard.isLost;
      if (!isTallied) {
        this.#onByMessage = { ...this.#onByMessage, [bus]: [input] };
        this.#parts.onInputs(this.#onByMessage, false);
      }
    }
    this.#parts.onMessage(address, args);
  }

  #sayNowAndThen(what: string, sentence: string): void {
    const nowMs = this.#parts.now();
    if (nowMs - (this.#saidAtMs.get(what) ?? Number.NEGATIVE_INFINITY) < NEWS_EVERY_MS) return;
    this.#saidAtMs.set(what, nowMs);
    this.#parts.onNews(sentence);
  }
}
