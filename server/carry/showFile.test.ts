import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { unzipSync, zipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type CarriedShow, PART_NAMES } from "../../core/carry/carriedShow.ts";
import { compareShows, keyOf } from "../../core/carry/compare.ts";
import { type Choice, type Choices, mergeShows } from "../../core/carry/merge.ts";
import type { CarriedSong } from "../../core/carry/parts/song.ts";
import { lanternEvening } from "../../demo/lanternEvening.ts";
import type { Seed } from "../../designs/seed.ts";
import { mulberry } from "../../test-support/random.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import { emptyShow } from "../newShow.ts";
import { hashOf } from "../store/contentStore.ts";
import { openDatabase } from "../store/database.ts";
import { makeShow } from "../store/makeShow.ts";
import { type CarryJob, type CarryResults, carryOut } from "./carrySteps.ts";
import { readShow } from "./readShow.ts";

const home = process.cwd();
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "vesko-carry-"));
});
afterAll(() => rmSync(folder, { recursive: true }));

/** A machine with a show on it. */
async function machine(name: string, seed: Seed) {
  const databaseFile = join(folder, `${name}.vesko.db`);
  const mediaFolder = `${databaseFile}.media`;
  const db = await openDatabase(databaseFile);
  await makeShow(db, seed, home, mediaFolder, 1_000);
  await db.destroy();
  let jobs = 0;
  const places = { databaseFile, mediaFolder, home };
  return {
    ...places,
    do: async <K extends CarryJob["kind"]>(
      kind: K,
      more: Omit<Extract<CarryJob, { kind: K }>, keyof typeof places | "kind" | "folder" | "atMs"> & {
        readonly folder?: string;
      },
    ) =>
      (await carryOut(
        {
          ...{ folder: `${databaseFile}.carry/${jobs++}`, atMs: 5_000, kind, ...places },
          ...more,
        } as unknown as CarryJob,
        () => {},
      )) as CarryResults[K],
    read: async (file = databaseFile) => {
      const open = await openDatabase(file);
      try {
        return (await readShow(open)).show;
      } finally {
        await open.destroy();
      }
    },
  };
}

const ALL = { holds: { kind: "all" }, program: "0.1.0" } as const;

test("a show that is saved and opened as a new one is the same show", async () => {
  const loft = await machine("loft", lanternEvening());
  const archive = join(folder, "lantern.vesko.zip");
  const saved = await loft.do("save", { ...ALL, target: archive });
  expect(saved).toMatchObject({ missing: 0, leftOut: 0 });

  const hall = await machine("hall", emptyShow());
  const at = join(folder, "opened");
  const looked = await hall.do("look", { archive, folder: at });
  expect(looked).toMatchObject({ name: "Lantern Evening", holds: { kind: "all" }, missing: 0 });
  const target = join(folder, "next.db");
  await hall.do("makeNew", { folder: at, target, actor: "desk-1" });
  const [came, was] = [await hall.read(target), await loft.read()];
  for (const part of [...PART_NAMES, "documents"] as const) expect(came[part], part).toEqual(was[part]);
});

test.runIf(existsSync("/usr/bin/unzip"))("another tool for archives reads a show file", async () => {
  const loft = await machine("tools", emptyShow());
  const archive = join(folder, "tools.vesko.zip");
  await loft.do("save", { ...ALL, target: archive });
  // PKWARE APPNOTE as Info-ZIP reads it.
  const names = execFileSync("unzip", ["-Z1", archive], { encoding: "utf8" }).split("\n");
  expect(names).toContain("show.json");
  expect(execFileSync("unzip", ["-tq", archive], { encoding: "utf8" })).toContain("No errors");
});

// A file of each version that there was, as it was written then: it opens for good.
test.each(["show.v1.vesko.zip"])("%s opens", async (name) => {
  const hall = await machine(`samples-${name}`, emptyShow());
  const at = join(folder, `sample-${name}`);
  const archive = join(import.meta.dirname, "samples", name);
  const looked = await hall.do("look", { archive, folder: at });
  expect(looked).toMatchObject({ name: "Lantern Evening", program: "0.1.0", missing: 0 });
  const target = join(folder, `${name}.db`);
  await hall.do("makeNew", { folder: at, target, actor: "desk-1" });
  const show = await hall.read(target);
  expect(show.evening.map(({ cues }) => cues.length)).toEqual([8]);
  expect(show.song.map(({ doc }) => doc.title)).toContain("Carry the Lamp Down");
  expect(show.output.length).toBe(5);
});

const merging = { newId: () => `other-${Math.random()}`, hashOf };

describe("beside what is here", () => {
  test("what is the same is left alone, and an edit on either side is a clash with both sides told", async () => {
    const here = await (await machine("same", lanternEvening())).read();
    expect(compareShows(here, here).every(({ state }) => state === "same")).toBe(true);
    const [song, ...songs] = here.song;
    const there: CarriedShow = {
      ...here,
      song: [
        { ...(song as CarriedSong), doc: { ...(song as CarriedSong).doc, text: "Other words\nhere" } },
        ...songs,
      ],
    };
    const clashing = compareShows(here, there).filter(({ state }) => state !== "same");
    expect(clashing).toMatchObject([
      { part: "song", state: "other", here: { name: "Carry the Lamp Down" }, canBeBoth: true },
    ]);
    expect(clashing[0]?.differences.join()).toContain("“Other words”");
  });

  test("50 seeded shows: kept, nothing changes; replaced, it is what came; both, both are there and nothing names what is not", async () => {
    const loft = await (await machine("seeded", lanternEvening())).read();
    for (let seed = 1; seed <= 50; seed++) {
      const [here, there] = [changedShow(loft, mulberry(seed)), changedShow(loft, mulberry(seed + 1_000))];
      const met = compareShows(here, there);
      const all = (choice: Choice): Choices =>
        Object.fromEntries(met.map(({ part, id }) => [keyOf(part, id), choice]));
      const told = `seed ${seed}`;

      const kept = mergeShows(here, there, met, all("keep"), merging);
      for (const part of PART_NAMES) expect(kept[part], told).toEqual([]);

      const replaced = withWritten(here, mergeShows(here, there, met, all("replace"), merging));
      const after = new Map(
        compareShows(there, replaced).map(({ part, id, state }) => [keyOf(part, id), state]),
      );
      for (const { part, id } of met)
        expect(after.get(keyOf(part, id)), `${told} ${part}/${id}`).toBe("same");

      const both = mergeShows(here, there, met, all("both"), merging);
      const together = withWritten(here, both);
      for (const { part, id, state, canBeBoth } of met)
        if (state === "other" && canBeBoth)
          expect(together[part].length, `${told} ${part}/${id}`).toBeGreaterThan(here[part].length);
      expect(missingNames(together), told).toEqual(missingNames(here).concat(missingNames(there)).sort());
    }
  }, 60_000);
});

/** A show as it is once things are written over those of their ids. */
function withWritten(here: CarriedShow, written: CarriedShow): CarriedShow {
  const over = Object.fromEntries(
    [...PART_NAMES, "documents" as const].map((part) => {
      const things = new Map(here[part].map((thing) => [thing.id, thing as { id: string }]));
      for (const thing of written[part]) things.set(thing.id, thing);
      return [part, [...things.values()]];
    }),
  );
  return over as unknown as CarriedShow;
}

/** What cues and triggers name and nobody has, in order: a model written apart from the renaming. */
function missingNames(show: CarriedShow): string[] {
  const has = (part: "song" | "feed" | "media", id: string) => show[part].some((thing) => thing.id === id);
  const cues = new Set(show.evening.flatMap((evening) => evening.cues.map(({ id }) => id)));
  const ids = show.evening.flatMap((evening) => evening.cues.map(({ id }) => id));
  expect(new Set(ids).size, "two cues of one id").toBe(ids.length);
  const names = show.evening.flatMap(({ cues: each }) =>
    each.flatMap(({ doc }) => [
      ...(doc.kind === "song" && doc.source && !has("song", doc.source.songId) ? [doc.source.songId] : []),
      ...(doc.kind === "page"
        ? Object.values(doc.bindings).flatMap(({ feedId }) => (has("feed", feedId) ? [] : [feedId]))
        : []),
    ]),
  );
  const named = [...JSON.stringify(show.trigger).matchAll(/"cueId":"([^"]+)"/g)].map(([, id = ""]) => id);
  return [...new Set([...names, ...named.filter((id) => !cues.has(id))])].sort();
}

/** A show in which some of everything is other, or gone. */
function changedShow(show: CarriedShow, random: () => number): CarriedShow {
  const some = <T>(things: readonly T[], change: (thing: T) => T): T[] =>
    things.flatMap((thing) => (random() < 0.1 ? [] : random() < 0.3 ? [change(thing)] : [thing]));
  const mark = () => `${Math.floor(random() * 1e6)}`;
  return {
    ...show,
    // Songs and tables that cues name stay: a show names nothing that it has not.
    song: show.song.map((song) =>
      random() < 0.5 ? { ...song, doc: { ...song.doc, text: `${song.doc.text}\n${mark()}` } } : song,
    ),
    feed: show.feed.map((feed) =>
      random() < 0.4 ? { ...feed, doc: { ...feed.doc, name: `Feed ${mark()}` } } : feed,
    ),
    evening: show.evening.map((evening) => ({
      ...evening,
      name: random() < 0.7 ? `Evening ${mark()}` : evening.name,
      cues: evening.cues.map((cue) => (random() < 0.2 ? { ...cue, doc: { ...cue.doc, note: mark() } } : cue)),
    })),
    output: some(show.output, (output) => ({ ...output, doc: { ...output.doc, name: `Screen ${mark()}` } })),
    plan: some(show.plan, (plan) => ({ ...plan, doc: { ...plan.doc, name: `Plan ${mark()}` } })),
    source: some(show.source, (source) => ({ ...source, doc: { ...source.doc, who: mark() } })),
    trigger: some(show.trigger, (trigger) => ({ ...trigger, doc: { ...trigger.doc, delayMs: 7 } })),
    media: some(show.media, (media) => ({ ...media, folder: mark() })),
    template: some(show.template, (template) => ({ ...template, draft: { name: mark() } })),
  };
}

describe("what strangers bring", () => {
  const saved = async () => {
    const loft = await machine(`bad-${Math.random()}`, emptyShow());
    const archive = join(folder, `bad-${Math.random()}.zip`);
    await loft.do("save", { ...ALL, target: archive });
    return { loft, archive, before: await loft.read() };
  };
  /** The archive with one of its files otherwise, its sums made good again where that is wished. */
  const otherwise = (
    archive: string,
    place: string,
    change: (text: string) => string,
    makesGood = true,
  ): string => {
    const files = unzipSync(readFileSync(archive));
    files[place] = new TextEncoder().encode(change(new TextDecoder().decode(files[place])));
    if (makesGood && place !== "show.json") {
      const about = JSON.parse(new TextDecoder().decode(files["show.json"]));
      for (const file of about.files)
        if (file.place === place)
          Object.assign(file, {
            bytes: files[place].length,
            sum: createHash("sha256").update(files[place]).digest("hex"),
          });
      files["show.json"] = new TextEncoder().encode(JSON.stringify(about));
    }
    const target = `${archive}.${Math.random()}`;
    writeFileSync(target, zipSync(files));
    return target;
  };
  const says = async (loft: Awaited<ReturnType<typeof machine>>, archive: string) => {
    try {
      await loft.do("look", { archive });
    } catch (error) {
      expect(error).toBeInstanceOf(FileProblem);
      return (error as Error).message;
    }
    return "nothing";
  };

  test("a file of a newer version says which, and opens nothing", async () => {
    const { loft, archive } = await saved();
    const newer = otherwise(archive, "show.json", (text) => text.replace('"version": 1', '"version": 9'));
    expect(await says(loft, newer)).toMatch(/version 9.*up to version 1.*Nothing was opened/);
  });

  test("one byte that is other is found, wherever it is", async () => {
    const { loft, archive, before } = await saved();
    const changed = otherwise(archive, "parts/house.json", (text) => text.replace("First", "Worst"), false);
    expect(await says(loft, changed)).toContain("not whole");
    for (const share of [0.1, 0.5, 0.9]) {
      const bytes = readFileSync(archive);
      writeFileSync(`${archive}.cut`, bytes.subarray(0, Math.floor(bytes.length * share)));
      expect(await says(loft, `${archive}.cut`)).toMatch(/Nothing was opened/);
    }
    expect(await loft.read()).toEqual(before);
  });

  test("names that climb out of the folder, other archives and no archive at all", async () => {
    const { loft, archive } = await saved();
    const climbing = join(folder, "climbing.zip");
    writeFileSync(
      climbing,
      zipSync({ "../../evil.txt": new Uint8Array([1]), "show.json": new Uint8Array([2]) }),
    );
    expect(await says(loft, climbing)).toContain("leads out of its folder");
    const other = join(folder, "photos.zip");
    writeFileSync(other, zipSync({ "photo.jpg": new Uint8Array([1, 2, 3]) }));
    expect(await says(loft, other)).toContain("no show file");
    writeFileSync(`${archive}.txt`, "Dear Noor, the file is attached.");
    expect(await says(loft, `${archive}.txt`)).toContain("no show file");
  });

  test("an archive that unpacks to more than is safe is refused before it is", async () => {
    const { loft, archive } = await saved();
    const files = unzipSync(readFileSync(archive));
    files["parts/song.json"] = new Uint8Array(257 * 1024 * 1024);
    const about = JSON.parse(new TextDecoder().decode(files["show.json"]));
    for (const file of about.files)
      if (file.place === "parts/song.json") file.bytes = files["parts/song.json"].length;
    files["show.json"] = new TextEncoder().encode(JSON.stringify(about));
    const bomb = `${archive}.bomb`;
    writeFileSync(bomb, zipSync(files, { level: 1 }));
    expect(await says(loft, bomb)).toContain("more than is safe");
  }, 60_000);

  test("documents that are not as they should be, and hashes that belong to others", async () => {
    const { loft, archive } = await saved();
    const wrong = otherwise(archive, "parts/output.json", (text) =>
      text.replaceAll('"widthPx":1920', '"widthPx":-4'),
    );
    expect(await says(loft, wrong)).toMatch(/parts\/output\.json.*cannot be read/);
    const taken = otherwise(archive, "parts/evening.json", (text) =>
      text.replace(/"id":"evening-[^"]+"/, '"id":"__proto__"'),
    );
    expect(await says(loft, taken)).toMatch(/parts\/evening\.json.*cannot be read/);
    // A document under the hash of another is known by its own.
    const swapped = otherwise(archive, "parts/documents.json", (text) =>
      text.replace('"name":"Harbour lamp"', '"name":"Harbour lamq"'),
    );
    const at = join(folder, "swapped");
    const looked = await loft.do("look", { archive: swapped, folder: at });
    expect(
      looked.met.filter(({ part, state }) => part === "style" && state === "other").length,
    ).toBeGreaterThan(0);
  });

  test("a file that is not what it says that it is", async () => {
    const loft = await machine("mime", lanternEvening());
    const archive = join(folder, "mime.zip");
    await loft.do("save", { ...ALL, target: archive });
    const hall = await machine("mime-hall", emptyShow());
    const files = unzipSync(readFileSync(archive));
    const place = Object.keys(files).find((name) => name.endsWith(".jpg")) ?? "";
    const page = new TextEncoder().encode("<script>alert(1)</script>");
    const sum = createHash("sha256").update(page).digest("hex");
    const was = place.slice(6, 70);
    const text = (name: string) => new TextDecoder().decode(files[name]).replaceAll(was, sum);
    const documents = new TextEncoder().encode(text("parts/documents.json"));
    const about = JSON.parse(text("show.json"));
    for (const file of about.files) {
      if (file.place.includes(sum)) Object.assign(file, { bytes: page.length, sum });
      if (file.place === "parts/documents.json")
        Object.assign(file, {
          bytes: documents.length,
          sum: createHash("sha256").update(documents).digest("hex"),
        });
    }
    delete files[place];
    const made = { ...files, [`files/${sum}.jpg`]: page, "parts/documents.json": documents };
    writeFileSync(
      archive,
      zipSync({ ...made, "show.json": new TextEncoder().encode(JSON.stringify(about)) }),
    );
    expect(await says(hall, archive)).toMatch(/The upper slip/);
  });
});
