import { setTimeout as wait } from "node:timers/promises";
import { isDeepStrictEqual } from "node:util";
import SQLite from "better-sqlite3";
import { CutProxy } from "../../e2e/support/cutProxy.ts";
import type { Evening } from "./evening.ts";
import { FarWindow } from "./farWindow.ts";

/** What has to be the same everywhere is looked for so long; how long it took is measured. */
const SAME_WITHIN_MS = 15_000;

/** Takes that stand in the log, read as far as it goes. */
export class WrittenTakes {
  readonly #ids = new Set<string>();
  readonly #parts = new Set<string>();
  readonly doubled = new Set<string>();
  #seq = 0;

  read(database: SQLite.Database): void {
    const rows = database.prepare("select seq, event from air_event where seq > ? order by seq");
    for (const { seq, event } of rows.iterate(this.#seq) as Iterable<{ seq: number; event: string }>) {
      this.#seq = seq;
      const { kind, takeId, layerId, target } = JSON.parse(event) as {
        kind: string;
        takeId?: string;
        layerId?: string;
        target?: { cueId: string };
      };
      if (!takeId) continue;
      this.#ids.add(takeId);
      // One press may be several events: of each layer and cue, one.
      const part = [kind, takeId, layerId, target?.cueId].join(" ");
      if (this.#parts.has(part)) this.doubled.add(takeId);
      this.#parts.add(part);
    }
  }

  has(id: string): boolean {
    return this.#ids.has(id);
  }
}

/** Whether all that was acknowledged is in the database, once. @returns what is not, in sentences */
export function findLost({ show, acknowledged, sent }: Evening, written: WrittenTakes): string[] {
  const takes = acknowledged.takes.splice(0);
  const edits = [...acknowledged.edits];
  const database = new SQLite(show.databaseFile, { readonly: true, timeout: 5_000 });
  try {
    written.read(database);
    const lost = takes.filter((id) => !written.has(id)).map((id) => `${id} was acknowledged and is lost`);
    const doubled = [...written.doubled].map((id) => `${id} was done twice`);
    written.doubled.clear();
    const docOf = database.prepare("select doc from cue where id = ?");
    const gone = edits.flatMap(([cueId, number]) => {
      const row = docOf.get(cueId) as { doc: string } | undefined;
      const found = row ? Number(/number (\d+)/.exec(row.doc)?.[1]) : undefined;
      // One that was sent later may stand there, or have taken this one away.
      const isGone = found === undefined && sent.get(cueId) === number;
      if (!isGone && (found === undefined || found >= number)) return [];
      return [
        `${cueId}: number ${number} was saved, and ${found === undefined ? "nothing" : `number ${found}`} stands`,
      ];
    });
    return [...lost, ...doubled, ...gone];
  } finally {
    database.close();
  }
}

export interface Compared {
  /** How long it took until all windows had the same, ms. */
  readonly afterMs: number;
  /** What was the last to be the same. */
  readonly waitedFor: string;
  readonly broken: readonly string[];
}

/** Whether every window has what one has that is opened now: show, values and every document that is on air. */
export async function compareWindows(evening: Evening): Promise<Compared> {
  const fromMs = performance.now();
  const { base } = evening.show;
  const desk = evening.desk("takes");
  const fresh = new FarWindow("fresh", await CutProxy.before(base), `${base}/`, desk.token);
  try {
    let differ: string[] = [];
    let waitedFor = "";
    do {
      differ = fresh.isHeard
        ? evening.windows.flatMap((window) => differenceOf(window, fresh))
        : ["nobody came in"];
      if (differ.length === 0) return { afterMs: performance.now() - fromMs, waitedFor, broken: [] };
      waitedFor = differ.join(", ").slice(0, 200);
      await wait(10);
    } while (performance.now() - fromMs < SAME_WITHIN_MS);
    return { afterMs: performance.now() - fromMs, waitedFor, broken: differ };
  } finally {
    fresh.end();
  }
}

function differenceOf(window: FarWindow, fresh: FarWindow): string[] {
  if (!window.isHeard) return [`${window.name} is not back`];
  if (window.name === "phone") return [];
  const { copy } = window;
  if (copy.state?.seq !== fresh.copy.state?.seq)
    return [`${window.name} is at ${copy.state?.seq}, not ${fresh.copy.state?.seq}`];
  const other = findDifference(plain(copy.state), plain(fresh.copy.state), "");
  if (other !== undefined) return [`${window.name} has another show: ${other}`];
  if (!isDeepStrictEqual(copy.plans, fresh.copy.plans)) return [`${window.name} has other plans`];
  const missing = hashesOnAir(copy).filter((hash) => !copy.documents.has(hash));
  if (missing.length > 0) return [`${window.name} lacks ${missing.length} documents of what is on air`];
  return [];
}

/** As it would be sent. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));

/** Where two values differ first, and how; undefined where they do not. */
function findDifference(one: unknown, other: unknown, path: string): string | undefined {
  if (isDeepStrictEqual(one, other)) return undefined;
  if (typeof one !== "object" || typeof other !== "object" || !one || !other)
    return `${path} is ${JSON.stringify(one)?.slice(0, 80)}, not ${JSON.stringify(other)?.slice(0, 80)}`;
  for (const key of new Set([...Object.keys(one), ...Object.keys(other)])) {
    const [here, there] = [one, other].map((each) => (each as Record<string, unknown>)[key]);
    const found = findDifference(here, there, `${path}.${key}`);
    if (found !== undefined) return found;
  }
  return undefined;
}

function hashesOnAir({ state }: FarWindow["copy"]): string[] {
  if (!state) return [];
  const slots = [
    ...Object.values(state.slots),
    ...Object.values(state.overrides).flatMap((each) => Object.values(each)),
  ];
  return slots.flatMap((slot) => {
    const page = slot.at(-1)?.page;
    return page ? [page.content] : [];
  });
}
