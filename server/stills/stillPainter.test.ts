import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { compile, OUTPUTS, prepareBench, strap } from "../../test-support/contents.ts";
import { hashOf } from "../store/contentStore.ts";
import { type Asker, StillPainter } from "./stillPainter.ts";

const bench = prepareBench();
let painter: StillPainter;
let asked = 0;
let nowMs = 0;

const folder = mkdtempSync(join(tmpdir(), "vesko-stills-"));
const workerFile = join(folder, "painter.mjs");
/** Answers each job with its own width, after a turn: the queue, the limits and the cache are looked at, not the picture. */
const WORKER = `
process.on("message", (job) => setTimeout(() => {
  const answer = (rest) => process.send({ id: job.id, memoryBytes: job.widthPx === 17 ? 2e9 : 5e7, ...rest });
  if (job.widthPx === 13) answer({ failed: "no luck" });
  else if (job.widthPx === 16) process.exit(3);
  else answer({ showsTime: job.widthPx === 18, png: new Uint8Array([job.widthPx & 255, job.documents.length, ...new Uint8Array(new Uint32Array([process.pid]).buffer), job.nowMs & 255]) });
}, 5));`;

beforeAll(() => {
  writeFileSync(workerFile, WORKER);
  painter = new StillPainter({
    findDocument: (hash) => {
      asked++;
      return bench.documents.get(hash);
    },
    findFile: () => undefined,
    listFonts: () => [],
    program: () => [],
    now: () => nowMs,
    workerFile,
  });
});
afterAll(() => {
  painter.close();
  rmSync(folder, { recursive: true });
});

const DESK = { name: "desk", mostOpen: 400 };
const paint = async (widthPx: number, asker: Asker = DESK, content?: ReturnType<typeof compile>) => {
  const answer = await painter.paint(wanted(widthPx, content), asker);
  return "png" in answer ? answer.png : answer.refused;
};
const processOf = (png: Uint8Array | string) => Buffer.from(png as Uint8Array).readUInt32LE(2);

const wanted = (widthPx: number, content = compile(bench, strap("Ilse", "net mender"))) => ({
  pages: [
    {
      page: { cueId: "cue-1", content: hashOf(content), step: { occurrence: "page", unit: 0 } },
      layerId: "titles",
    },
  ],
  outfitId: "band",
  output: OUTPUTS[1] as (typeof OUTPUTS)[number],
  isWholeWall: false,
  leavesAfterMs: null,
  cameAtMs: null,
  timeZone: "UTC",
  atMs: null,
  widthPx,
  signal: "picture" as const,
});

describe("stills", () => {
  test("the same still is painted once, however often and at whatever moment it is asked for", async () => {
    const [a, b] = await Promise.all([paint(20), paint(20)]);
    expect(a).toBe(b);
    const before = asked;
    expect(await paint(20)).toBe(a);
    expect(asked).toBe(before);
    // The page, its template and its style go with the job.
    expect(a[1]).toBe(3);
    expect((await paint(21))[0]).toBe(21);
  });

  test("what shows the time is painted anew, as it is at that time", async () => {
    const times = [7, 8, 9];
    const seen: unknown[] = [];
    for (nowMs of times) seen.push((await paint(18)).at(-1), (await paint(19)).at(-1));
    expect(seen).toEqual([7, 7, 8, 7, 9, 7]);
  });

  test("one that fails is told, and the next is painted", async () => {
    expect(await paint(13)).toBe("failed");
    expect((await paint(14))[0]).toBe(14);
  });

  test("a painter that dies, or holds too much memory, is replaced", async () => {
    const first = processOf(await paint(22));
    expect(await paint(16)).toBe("failed");
    const second = processOf(await paint(23));
    expect(second).not.toBe(first);
    expect(processOf(await paint(17))).toBe(second);
    expect(processOf(await paint(24))).not.toBe(second);
  });

  test("more pixels than any output has are refused before anything is painted", async () => {
    expect(await paint(7_680)).not.toBe("tooLarge");
    const answer = await painter.paint(
      { ...wanted(7_680), output: { ...wanted(1).output, widthPx: 100, heightPx: 16_000 } },
      DESK,
    );
    expect(answer).toMatchObject({ refused: "tooLarge" });
  });

  test("one link waits for a few at once, and keeps nobody else waiting", async () => {
    const link = { name: "link", mostOpen: 4 };
    const answers = await Promise.all([
      ...Array.from({ length: 9 }, (_, i) => paint(100 + i, link)),
      paint(200),
    ]);
    expect(answers.filter((answer) => answer === "tooMany")).toHaveLength(5);
    expect(answers.at(-1)?.[0]).toBe(200);
    expect(await paint(109, link)).not.toBe("tooMany");
  });

  test("what nobody waits for any more is not painted", async () => {
    const gone = new AbortController();
    const answers = [paint(50), paint(51, { ...DESK, signal: gone.signal })];
    gone.abort();
    expect((await Promise.all(answers))[1]).toBe("failed");
    expect(painter.waiting).toBe(0);
  });

  test("a page that is not known is refused", async () => {
    const { pages } = wanted(15);
    const gone = pages.map(({ page, layerId }) => ({ page: { ...page, content: "f".repeat(64) }, layerId }));
    expect(await painter.paint({ ...wanted(15), pages: gone }, DESK)).toMatchObject({ refused: "unknown" });
    expect(await painter.paint({ ...wanted(15), pages: [...pages, ...gone] }, DESK)).toMatchObject({
      refused: "unknown",
    });
  });
});
