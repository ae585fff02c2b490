import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { compile, OUTPUTS, prepareBench, strap } from "../../core/test-support/contents.ts";
import { hashOf } from "../store/contentStore.ts";
import { StillPainter } from "./stillPainter.ts";

const bench = prepareBench();
let painter: StillPainter;
let asked = 0;

/** Answers each job with its own width, after a turn: the queue and the cache are looked at, not the picture. */
const WORKER = `
import { parentPort } from "node:worker_threads";
parentPort.on("message", (job) => setTimeout(() => {
  if (job.widthPx === 13) parentPort.postMessage({ id: job.id, failed: "no luck" });
  else parentPort.postMessage({ id: job.id, png: new Uint8Array([job.widthPx & 255, job.documents.length]) });
}, 5));`;

beforeAll(() => {
  painter = new StillPainter(
    (hash) => {
      asked++;
      return bench.documents.get(hash);
    },
    () => undefined,
    () => [],
    new URL(`data:text/javascript,${encodeURIComponent(WORKER)}`),
  );
});
afterAll(() => painter.close());

const wanted = (widthPx: number, content = compile(bench, strap("Ilse", "net mender"))) => ({
  page: { cueId: "cue-1", content: hashOf(content), step: { occurrence: "page", unit: 0 } },
  layerId: "titles",
  outfitId: "band",
  output: OUTPUTS[1] as (typeof OUTPUTS)[number],
  isWholeWall: false,
  timeZone: "UTC",
  atMs: null,
  widthPx,
  signal: "picture" as const,
});

describe("stills", () => {
  test("the same still is painted once, however often and at whatever moment it is asked for", async () => {
    const [a, b] = await Promise.all([painter.paint(wanted(20)), painter.paint(wanted(20))]);
    expect(a).toBe(b);
    const before = asked;
    expect(await painter.paint(wanted(20))).toBe(a);
    expect(asked).toBe(before);
    // The page, its template and its style go with the job.
    expect(a[1]).toBe(3);
    expect((await painter.paint(wanted(21)))[0]).toBe(21);
  });

  test("one that fails is told, and the next is painted", async () => {
    await expect(painter.paint(wanted(13))).rejects.toThrow("no luck");
    expect((await painter.paint(wanted(14)))[0]).toBe(14);
  });

  test("a page that is not known is refused before anything is painted", async () => {
    const unknown = { ...wanted(15), page: { ...wanted(15).page, content: "f".repeat(64) } };
    expect(() => painter.paint(unknown)).toThrow(/No page is known/);
  });
});
