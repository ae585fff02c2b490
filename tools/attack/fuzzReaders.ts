import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { toBuffer } from "osc-min";
import { feedDocSchema } from "../../core/feeds/feed.ts";
import { readRundownText } from "../../core/rundown/rundownText.ts";
import { readTemplate } from "../../core/scene/readTemplate.ts";
import { readUmd5, writeUmd5 } from "../../core/tally/umd5.ts";
import { readUmd31, writeUmd31 } from "../../core/tally/umd31.ts";
import { clientMessageSchema } from "../../core/wire/wire.ts";
import { lanternEvening } from "../../demo/lanternEvening.ts";
import { packSongs } from "../../server/files/packSongs.ts";
import { readClipDetails } from "../../server/files/readClipDetails.ts";
import { readDesignFile } from "../../server/files/readDesignFile.ts";
import { readScriptureFile } from "../../server/files/readScriptureFile.ts";
import { readSongFile } from "../../server/files/readSongFile.ts";
import { FileProblem } from "../../server/files/scriptureFile.ts";
import { readTable } from "../../server/files/tables/readTable.ts";
import { readOsc } from "../../server/links/osc.ts";
import { type Attack, seeded } from "./attack.ts";

const SEED = 20261202;
/** One that takes longer than this holds up whoever waits for it: a reader is called off after seconds. */
const LONGEST_MS = 2_000;

interface Reader {
  readonly name: string;
  /** Of a hundred messages, so many. */
  readonly share: number;
  /** What it reads when all is well: broken ones are made of these. */
  readonly good: readonly Uint8Array[];
  /** Reads; what it throws is a fault, but for what says in words what is wrong with a file. */
  readonly read: (bytes: Uint8Array) => unknown;
}

/** Files, tables, archives, templates and packets as they should be, with something wrong in each. */
export const fuzzReaders: Attack = {
  name: "broken files, tables, archives, templates and packets",
  run: async (isLong) => {
    const folder = mkdtempSync(join(tmpdir(), "vesko-fuzz-"));
    const count = isLong ? 1_000_000 : 97_000;
    const random = seeded(SEED);
    const broken: string[] = [];
    const figures: string[] = [];
    let tries = 0;
    let longest = { ms: 0, of: "" };
    try {
      for (const { name, share, good, read } of await readersIn(folder)) {
        const times = Math.round((count * share) / 100);
        let refused = 0;
        for (let i = 0; i < times; i++) {
          const bytes = damaged(good, random);
          const from = performance.now();
          try {
            await read(bytes);
          } catch (error) {
            refused++;
            if (!(error instanceof FileProblem)) {
              const kept = Buffer.from(bytes.slice(0, 120)).toString("base64");
              broken.push(`${name}, message ${i} of seed ${SEED} (${kept}): ${String(error).slice(0, 300)}`);
            }
          }
          const ms = performance.now() - from;
          if (ms > longest.ms) longest = { ms, of: name };
          tries++;
        }
        figures.push(`${name}: ${times}, ${refused} refused by a sentence`);
      }
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
    if (longest.ms > LONGEST_MS) broken.push(`${longest.of} took ${Math.round(longest.ms)} ms for one`);
    figures.push(`the longest took ${Math.round(longest.ms)} ms (${longest.of})`);
    return { tries, broken: broken.slice(0, 20), figures };
  },
};

async function readersIn(folder: string): Promise<Reader[]> {
  const text = (words: string) => new TextEncoder().encode(words);
  const file = (path: string) => new Uint8Array(readFileSync(path));
  const at = join(folder, "file");
  const onDisk =
    <T>(read: (path: string) => Promise<T>) =>
    async (bytes: Uint8Array) => {
      writeFileSync(at, bytes);
      return read(at);
    };
  const table = (format: object) => (bytes: Uint8Array) =>
    readTable({
      bytes,
      settings: feedDocSchema.parse({ name: "fuzz", source: { kind: "watched", path: "a" }, format }),
      before: null,
    });
  const { songs } = lanternEvening();
  const demoFeeds = readdirSync("demo/feeds");
  const feeds = (end: string) =>
    demoFeeds.filter((name) => name.endsWith(end)).map((name) => file(join("demo/feeds", name)));
  const tally = { input: 4, isOnProgram: true, isOnPreview: false, label: "CAM 4" };
  const template = file(join("core/stored/samples", "template.v2.json"));
  const json = (value: unknown) => text(JSON.stringify(value));
  const parsed = (bytes: Uint8Array, look: (value: unknown) => unknown) => {
    let value: unknown;
    try {
      value = JSON.parse(new TextDecoder().decode(bytes));
    } catch {
      return undefined;
    }
    return look(value);
  };
  const osis = text(
    '<?xml version="1.0"?><osis><osisText osisIDWork="x" xml:lang="en"><div type="book" osisID="Ps"><chapter osisID="Ps.23"><verse osisID="Ps.23.1">The words of it.</verse><verse osisID="Ps.23.2">And more.</verse></chapter></div></osisText></osis>',
  );
  const usfm = text("\\id PSA\n\\h Psalms\n\\c 23\n\\q1\n\\v 1 The words of it.\n\\v 2 And more.\n");
  return [
    {
      name: "messages of windows",
      share: 22,
      good: [
        json({ kind: "hello", token: "x".repeat(32), windowId: "window-of-fuzz" }),
        json({ kind: "command", command: { kind: "clear", id: "fuzz-1", how: "cut" } }),
        json({ kind: "command", command: { kind: "undo", id: "fuzz-2", actId: "act" } }),
        json({ kind: "press", id: "fuzz-press", press: "take", seen: "seen", atMs: 1 }),
      ],
      read: (bytes) => parsed(bytes, (value) => clientMessageSchema.safeParse(value)),
    },
    {
      name: "tallies (UMD 3.1)",
      share: 14,
      good: [writeUmd31(tally, { program: 1, preview: 2 })],
      read: (bytes) => readUmd31(bytes, { program: 1, preview: 2 }),
    },
    {
      name: "tallies (UMD 5.0)",
      share: 14,
      good: [writeUmd5([tally, { ...tally, input: 9, label: "Quay" }])],
      read: readUmd5,
    },
    {
      name: "messages (OSC)",
      share: 14,
      good: [
        new Uint8Array(toBuffer({ address: "/show/go", args: [1, "two", 3.5] } as never).buffer),
        new Uint8Array(
          toBuffer({ timetag: [0, 1], elements: [{ address: "/a", args: [] }] } as never).buffer,
        ),
      ],
      read: readOsc,
    },
    { name: "tables (CSV)", share: 8, good: feeds(".csv"), read: table({ kind: "csv" }) },
    { name: "tables (JSON)", share: 6, good: feeds(".json"), read: table({ kind: "json" }) },
    {
      name: "tables (XML)",
      share: 3,
      good: [
        text("<race><boat><name>Tern</name><mark>3</mark></boat><boat><name>Gannet</name></boat></race>"),
      ],
      read: table({ kind: "xml" }),
    },
    {
      name: "rundowns",
      share: 4,
      good: [
        text(
          "19:00 Welcome\n19:05 Song: Carry the Lamp Down\n19:10 Ps 23\n# Break\n- 19:30 Ilse Tarrow, net mender (3:00)\n",
        ),
      ],
      read: (bytes) => readRundownText(new TextDecoder().decode(bytes)),
    },
    {
      name: "templates",
      share: 4,
      good: [template],
      read: (bytes) => readTemplate(new TextDecoder().decode(bytes)),
    },
    {
      name: "design files",
      share: 2,
      good: [template, await packSongs(songs.map(({ song }) => song))],
      read: onDisk((path) => readDesignFile({ path })),
    },
    {
      name: "details of clips",
      share: 4,
      good: [text('<film year="1987"><title>Lanterns rise</title><by>The quay</by></film>')],
      read: (bytes) => readClipDetails({ bytes }),
    },
    { name: "scripture (OSIS, USFM)", share: 3, good: [osis, usfm], read: readScriptureFile },
    {
      name: "songs and archives of songs",
      share: 2,
      good: [
        text("Verse 1\nCarry the lamp down\nto the water\n\nChorus\nShine on\n"),
        await packSongs(songs.slice(0, 3).map(({ song }) => song)),
      ],
      read: onDisk((path) => readSongFile({ path, fileName: "song.txt" })),
    },
  ];
}

const NASTY = [
  "\u0000",
  "\ufeff",
  "\ud800",
  "<!DOCTYPE x [<!ENTITY a 'b'>]>",
  "&a;",
  "__proto__",
  '"',
  "{".repeat(300),
  "9".repeat(400),
  "-1e999",
  "\r\r\n",
  "\u202e",
];

/** One of the good ones, with some things wrong in it. */
function damaged(good: readonly Uint8Array[], random: () => number): Uint8Array {
  const below = (n: number) => Math.floor(random() * n);
  let bytes: Uint8Array = (good[below(good.length)] ?? new Uint8Array()).slice();
  for (let i = 0; i <= below(6); i++) {
    const place = below(bytes.length + 1);
    const kind = random();
    if (kind < 0.35 && bytes.length > 0) bytes[below(bytes.length)] = below(256);
    else if (kind < 0.5) bytes = bytes.slice(0, place);
    else if (kind < 0.62) bytes = joined(bytes.slice(0, place), bytes.slice(place + below(20)));
    else if (kind < 0.76) bytes = joined(bytes.slice(0, place), bytes.slice(below(place + 1)));
    else
      bytes = joined(
        bytes.slice(0, place),
        new TextEncoder().encode(NASTY[below(NASTY.length)]),
        bytes.slice(place),
      );
    if (bytes.length > 60_000) bytes = bytes.slice(0, 60_000);
  }
  return bytes;
}

const joined = (...parts: readonly Uint8Array[]): Uint8Array => new Uint8Array(Buffer.concat(parts));
