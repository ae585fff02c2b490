import { chosen } from "#language";
import type { CheckedWindow } from "../../../core/check/evening.ts";
import type { CheckFinding } from "../../../core/check/gather.ts";
import { wornIn } from "../../../core/rundown/content.ts";
import type { CueView } from "../../../core/rundown/edits.ts";
import { planAtBeginning } from "../../../core/show/planAtBeginning.ts";
import { limitsOf } from "../../../core/venue/checkLimits.ts";
import { glassSize } from "../../../core/venue/fitting.ts";
import { type Output, pictureSize } from "../../../core/venue/plan.ts";
import type { ScreenHealth } from "../../../core/wire/wire.ts";
import { onFonts } from "../../live/shaper.ts";
import type { DeskSnapshot } from "../deskSnapshot.ts";
import type { DeskStore } from "../deskStore.ts";
import type { CheckAnswer, CheckPace, CheckRequest, EveningFrame } from "./checkMessages.ts";
import { clipFrames } from "./clipFrames.ts";

/** What the check has found. */
export interface CheckState {
  /** "looking": it is not through with the evening as it is now. "off": this browser cannot. */
  readonly status: "looking" | "waiting" | "done" | "off";
  readonly findings: readonly CheckFinding[];
  readonly byCue: ReadonlyMap<string, readonly CheckFinding[]>;
  /** Steps × screens × plans that were looked at. */
  readonly looked: number;
  readonly tookMs: number;
}

const NOTHING: CheckState = { status: "looking", findings: [], byCue: new Map(), looked: 0, tookMs: 0 };
/** What changes within this time is looked at together. */
const CALM_MS = 80;
/** A desk that has just been opened has other things to do first, unless it is there for the check. */
const FIRST_AFTER_MS = 15_000;
/** What of the desk the check is made of. */
const LOOKED_AT = [
  ...(["cues", "outputs", "plans", "outfits", "fieldSets", "evening"] as const),
  ...(["venue", "feeds", "bindingProblems", "follow", "sources"] as const),
];
/** For so long after something came on air or left it, pictures need the machine more. */
const ASIDE_MS = 2_000;
const MOST_WAITS = 15;
/** How windows do is looked at this often. */
const WINDOWS_EVERY_MS = 2_000;

/** Has the evening looked through beside the window, after every change, for as long as the desk is open. */
export class CheckStore {
  readonly #desk: DeskStore;
  #worker: Worker | undefined;
  readonly #listeners = new Set<() => void>();
  readonly #sentDocuments = new Set<string>();
  /** The contents whose documents the worker has, all of them. */
  #sentReady: DeskSnapshot["ready"] | undefined;
  readonly #sentViews = new Map<string, CueView>();
  #licence = "";
  #state = NOTHING;
  #sent = "";
  #sentOrder = "";
  /** What the worker has said of what was sent last. */
  #told: CheckState["status"] = "looking";
  #seen: readonly unknown[] = [];
  #version = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #windows: EveningFrame["windows"] = {};
  #windowsAtMs = Number.NEGATIVE_INFINITY;
  #films: Promise<unknown> = Promise.resolve();
  /** Views that are open and there for what is found. */
  #hurried = 0;
  #airRevision = 0;
  #aside: ReturnType<typeof setTimeout> | undefined;
  #pace: CheckPace = "beside";

  constructor(desk: DeskStore) {
    this.#desk = desk;
    if (typeof Worker === "undefined" || typeof OffscreenCanvas === "undefined") {
      this.#state = { ...NOTHING, status: "off" };
      return;
    }
    desk.subscribe(() => {
      this.#giveWay();
      this.#lookSoon();
    });
    onFonts(() => this.#send({ kind: "fonts" }));
    this.#lookSoon();
  }

  /** Somebody waits for it. @returns a function that says that they do no more */
  hurry(): () => void {
    this.#hurried++;
    this.#choosePace();
    if (!this.#worker && this.#state.status !== "off") {
      clearTimeout(this.#timer);
      this.#timer = undefined;
      this.#look();
    }
    return () => {
      this.#hurried--;
      this.#choosePace();
    };
  }

  /** What is on air has just become another: for a while its pictures need the machine more. */
  #giveWay(): void {
    const { airRevision } = this.#desk.getSnapshot().state;
    if (airRevision === this.#airRevision) return;
    this.#airRevision = airRevision;
    clearTimeout(this.#aside);
    this.#aside = setTimeout(() => {
      this.#aside = undefined;
      this.#choosePace();
    }, ASIDE_MS);
    this.#choosePace();
  }

  /** Nothing came on air or left it for a while; where something does all the time, it is not waited for without end. */
  async #untilBeside(): Promise<void> {
    for (let waits = 0; waits < MOST_WAITS && this.#pace === "aside"; waits++)
      await new Promise((resolve) => setTimeout(resolve, ASIDE_MS));
  }

  #choosePace(): void {
    const pace = this.#aside !== undefined ? "aside" : this.#hurried > 0 ? "hurried" : "beside";
    if (pace === this.#pace) return;
    this.#pace = pace;
    this.#send({ kind: "pace", pace });
  }

  #begin(): Worker {
    const worker = new Worker(new URL("./checkWorker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<CheckAnswer>) => this.#hear(data);
    worker.onerror = () => this.#set({ ...this.#state, status: "off" });
    const language = chosen();
    if (language.messages) worker.postMessage({ kind: "language", language } satisfies CheckRequest);
    return worker;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  readonly getSnapshot = (): CheckState => this.#state;

  /** The venue's licence number for this event. */
  setLicence(licence: string): void {
    if (licence === this.#licence) return;
    this.#licence = licence;
    this.#lookSoon();
  }

  #set(state: CheckState): void {
    this.#state = state;
    for (const listener of this.#listeners) listener();
  }

  #send(request: CheckRequest, sent: Transferable[] = []): void {
    this.#worker?.postMessage(request, sent);
  }

  #hear(answer: CheckAnswer): void {
    switch (answer.kind) {
      case "found": {
        const { findings, looked, tookMs, isWaiting } = answer;
        const byCue = new Map<string, CheckFinding[]>();
        for (const finding of findings) {
          if (finding.cueId === null) continue;
          const own = byCue.get(finding.cueId);
          if (own) own.push(finding);
          else byCue.set(finding.cueId, [finding]);
        }
        if (answer.version === this.#version) this.#told = isWaiting ? "waiting" : "done";
        const status = this.#timer === undefined ? this.#told : "looking";
        this.#set({ status, findings, byCue: keepSame(byCue, this.#state.byCue), looked, tookMs });
        return;
      }
      case "wantsFrames":
        // One clip after another: what is on air needs the machine more.
        this.#films = this.#films.then(async () => {
          await this.#untilBeside();
          const frames = await clipFrames(answer.file);
          this.#send({ kind: "frames", file: answer.file, frames }, frames);
        });
        return;
      case "problem":
        console.error(`The check: ${answer.sentence}`);
        this.#set({ ...this.#state, status: "off" });
    }
  }

  #lookSoon(): void {
    const now = this.#desk.getSnapshot();
    const seen = [
      ...LOOKED_AT.map((part) => now[part]),
      ...[now.state.layers, planAtBeginning(now.state, now.plans).id, this.#readWindows(now), this.#licence],
    ];
    if (seen.every((part, at) => part === this.#seen[at])) return;
    this.#seen = seen;
    // What is put off for the first time is not put off again by each thing that a new desk hears.
    if (!this.#worker && this.#timer !== undefined) return;
    clearTimeout(this.#timer);
    if (this.#state.status !== "looking") this.#set({ ...this.#state, status: "looking" });
    this.#timer = setTimeout(
      () => {
        this.#timer = undefined;
        this.#look();
      },
      this.#worker ? CALM_MS : FIRST_AFTER_MS,
    );
  }

  #look(): void {
    if (!this.#worker) {
      this.#worker = this.#begin();
      this.#send({ kind: "pace", pace: this.#pace });
    }
    const now = this.#desk.getSnapshot();
    const { outputs, plans, outfits, fieldSets, evening, venue, feeds, bindingProblems, follow, sources } =
      now;
    const { layers, timeZone } = now.state;
    const today = new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short" }).format(this.#desk.now());
    const frame: EveningFrame = {
      ...{ layers, outputs, plans, outfits, evening, today, timeZone, bindingProblems },
      planId: planAtBeginning(now.state, now.plans).id,
      licence: this.#licence,
      fieldSets: [...fieldSets.values()],
      feeds: feeds.map(({ id, doc, fault, isStale, longest }) => ({ id, doc, fault, isStale, longest })),
      triggers: (follow?.triggers ?? []).map(({ revision: _, ...trigger }) => trigger),
      clips: (follow?.clips ?? []).map(({ id, title, lengthMs }) => ({ id, title, lengthMs })),
      sourceIds: sources.map(({ id }) => id),
      windows: this.#windows,
      limits: limitsOf(venue.limits),
    };
    const text = JSON.stringify(frame);
    const order = now.cues.map(({ view }) => view.cueId);
    const changed = now.cues.flatMap(({ view }) => (this.#sentViews.get(view.cueId) === view ? [] : [view]));
    const isFresh = this.#sendDocuments(now);
    // A feed that was only asked again, a screen that was only heard: what was found holds.
    if (text === this.#sent && changed.length === 0 && !isFresh && order.join() === this.#sentOrder) {
      if (this.#state.status !== this.#told) this.#set({ ...this.#state, status: this.#told });
      return;
    }
    for (const view of changed) this.#sentViews.set(view.cueId, view);
    this.#told = "looking";
    this.#send({
      ...{ kind: "look", version: ++this.#version, order, changed },
      frame: text === this.#sent ? null : frame,
    });
    this.#sent = text;
    this.#sentOrder = order.join();
  }

  /** The contents of all cues, and what they wear and show. @returns whether any is new */
  #sendDocuments({ ready }: DeskSnapshot): boolean {
    if (ready === this.#sentReady) return false;
    const { documents } = this.#desk;
    const wanted = new Set(
      ready.flatMap(({ hash, content }) => [hash, ...wornIn(content), ...content.media]),
    );
    const fresh = [...wanted].flatMap((hash) => {
      const document = documents.get(hash);
      if (!document || this.#sentDocuments.has(hash)) return [];
      this.#sentDocuments.add(hash);
      return [[hash, document] as const];
    });
    if (fresh.length > 0) this.#send({ kind: "documents", documents: fresh });
    // What is still on its way is looked for again.
    if ([...wanted].every((hash) => this.#sentDocuments.has(hash))) this.#sentReady = ready;
    const gone = [...this.#sentDocuments].filter((hash) => !wanted.has(hash));
    if (gone.length <= wanted.size) return fresh.length > 0;
    for (const hash of gone) this.#sentDocuments.delete(hash);
    this.#send({ kind: "keep", hashes: [...this.#sentDocuments] });
    return fresh.length > 0;
  }

  /** How windows do, now and then: the same object while nothing of it is otherwise. */
  #readWindows({ screens, outputs }: DeskSnapshot): EveningFrame["windows"] {
    const nowMs = performance.now();
    if (nowMs - this.#windowsAtMs < WINDOWS_EVERY_MS) return this.#windows;
    this.#windowsAtMs = nowMs;
    const windows = windowsOf(screens, outputs, this.#desk.now());
    if (JSON.stringify(windows) !== JSON.stringify(this.#windows)) this.#windows = windows;
    return this.#windows;
  }
}

/** A window is late in whole seconds, so that it is not another with each look. */
const LATE_STEP_MS = 1_000;
const LATE_FROM_MS = 1_800;

function windowsOf(
  screens: readonly ScreenHealth[],
  outputs: readonly Output[],
  nowMs: number,
): Record<string, CheckedWindow[]> {
  return Object.fromEntries(
    outputs.flatMap((output) => {
      const whole = pictureSize(output);
      const glass = glassSize(whole.widthPx, whole.heightPx, output.fitting);
      const windows = screens.find(({ outputId }) => outputId === output.id)?.windows ?? [];
      if (windows.length === 0) return [];
      return [
        [
          output.id,
          windows.map(({ painted, heardAtMs }): CheckedWindow => {
            const silentMs = nowMs - heardAtMs;
            return {
              widthPx: painted?.widthPx ?? glass.widthPx,
              heightPx: painted?.heightPx ?? glass.heightPx,
              wantedWidthPx: glass.widthPx,
              wantedHeightPx: glass.heightPx,
              lateMs: silentMs > LATE_FROM_MS ? Math.floor(silentMs / LATE_STEP_MS) * LATE_STEP_MS : null,
              isHidden: painted?.isHidden ?? false,
            };
          }),
        ],
      ];
    }),
  );
}

/** Lists that say the same as before are the same lists: rows of the script are drawn anew only where something is found otherwise. */
function keepSame(
  now: ReadonlyMap<string, readonly CheckFinding[]>,
  before: ReadonlyMap<string, readonly CheckFinding[]>,
): ReadonlyMap<string, readonly CheckFinding[]> {
  return new Map(
    [...now].map(([cueId, findings]) => {
      const was = before.get(cueId);
      return [cueId, was && JSON.stringify(was) === JSON.stringify(findings) ? was : findings];
    }),
  );
}
