import { mkdirSync, renameSync, writeFileSync } from "node:fs";
import { createServer } from "node:http";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { mulberry } from "../../test-support/random.ts";
import { commentsOf } from "./comments.ts";
import { csvOf, jsonOf, moved, raisedOf, START, textOf, votesOf, xmlOf } from "./town.ts";

/**
 * Moves the demo's feeds as an evening would: lanterns are lit, boats round marks, people vote, give money and write comments. It rewrites the
 * files in a folder and serves the same as JSON and XML.
 */
const { values: flags } = parseArgs({
  options: {
    folder: { type: "string" },
    port: { type: "string", default: "4610" },
    "every-ms": { type: "string", default: "1500" },
    seed: { type: "string", default: "1" },
    /** How many saves in a hundred are rubbish. */
    rubbish: { type: "string", default: "0" },
  },
});
const { folder } = flags;
if (folder === undefined) {
  console.error("Say which folder it moves: --folder FOLDER. Nothing was started.");
  process.exit(2);
}
mkdirSync(folder, { recursive: true });

const random = mulberry(Number(flags.seed));
const rubbishShare = { now: Number(flags.rubbish) / 100 };
let town = START;

/** What a program in trouble writes in place of what it should. */
const RUBBISH: readonly ((text: string) => string)[] = [
  (text) => text.slice(0, Math.floor(text.length * random())),
  () => "",
  (text) => text.replace(/\d+/, "#REF!"),
  (text) => text.replace(/\d+/g, "n/a"),
  (text) => text.replace(/^.*\n/, ""),
  () => "<html><body>503 Service Unavailable</body></html>",
  (text) => `${text}${text.split("\n").slice(1).join("\n").repeat(2_000)}`,
  (text) => text.replace(/,/, ',"'),
];
const written = (text: string): string =>
  random() < rubbishShare.now ? (RUBBISH[Math.floor(random() * RUBBISH.length)] ?? String)(text) : text;

/** As careful programs do it: a whole file takes the place of the one before. */
function save(name: string, text: string): void {
  const path = join(folder as string, name);
  writeFileSync(`${path}.part`, text);
  renameSync(`${path}.part`, path);
}

function write(): void {
  save("lanterns.csv", written(csvOf(town.lanterns)));
  save("race.json", written(jsonOf(town)));
  save("boat-names.csv", written(votesOf(town.names)));
  save("raised.json", written(raisedOf(town)));
  save("comments.json", written(commentsOf(town)));
  save("notices.txt", written(textOf(town.notices)));
}

const SERVED = "/race.json, /race.xml, /lanterns.csv, /boat-names.csv, /comments.json and /raised.json";
const server = createServer((request, response) => {
  const { pathname, searchParams } = new URL(request.url ?? "/", "http://here");
  if (request.method === "POST" && pathname === "/rubbish") {
    rubbishShare.now = Math.min(1, Math.max(0, Number(searchParams.get("share") ?? "1")));
    response.end(
      `Of all that is written and served, ${Math.round(rubbishShare.now * 100)} % is rubbish now.\n`,
    );
    return;
  }
  const answers: Readonly<Record<string, readonly [string, string]>> = {
    "/race.json": ["application/json", jsonOf(town)],
    "/race.xml": ["application/xml", xmlOf(town)],
    "/lanterns.csv": ["text/csv", csvOf(town.lanterns)],
    "/comments.json": ["application/json", commentsOf(town)],
    "/boat-names.csv": ["text/csv", votesOf(town.names)],
    "/raised.json": ["application/json", raisedOf(town)],
  };
  const found = answers[pathname];
  if (!found) {
    response.writeHead(404).end(`It serves ${SERVED}.\n`);
    return;
  }
  const [type, text] = found;
  const etag = `"${town.turn}"`;
  if (request.headers["if-none-match"] === etag) {
    response.writeHead(304).end();
    return;
  }
  response.writeHead(200, { "Content-Type": type, ETag: etag }).end(written(text));
});
server.listen(Number(flags.port), "127.0.0.1", () => {
  const address = server.address();
  const port = typeof address === "object" && address ? address.port : flags.port;
  console.log(`The feed mover rewrites the files in ${folder} and serves ${SERVED}.`);
  console.log(`  http://127.0.0.1:${port}/`);
  console.log(`Rubbish on demand: POST http://127.0.0.1:${port}/rubbish?share=0.5`);
});

const timer = setInterval(() => {
  town = moved(town, random);
  write();
}, Number(flags["every-ms"]));
write();
for (const signal of ["SIGINT", "SIGTERM"] as const)
  process.on(signal, () => {
    clearInterval(timer);
    server.close();
    process.exit(0);
  });
