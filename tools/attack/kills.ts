import { spawnSync } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import SQLite from "better-sqlite3";
import { lanternEvening } from "../../demo/lanternEvening.ts";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import { NEWEST_MIGRATION } from "../../server/store/database.ts";
import { BEFORE_DESIGNS } from "../../test-support/olderShow.ts";
import { type Attack, seeded, someOf } from "./attack.ts";
import { Taker } from "./taker.ts";

/** Builds the shim that ends a process at its n-th word to the disk. @returns undefined where there is no compiler */
function buildShim(folder: string): string | undefined {
  const shim = join(folder, "killAtSync.so");
  const { status } = spawnSync("cc", [
    "-shared",
    "-fPIC",
    "-O1",
    "-o",
    shim,
    resolve(import.meta.dirname, "killAtSync.c"),
    "-ldl",
  ]);
  return status === 0 ? shim : undefined;
}

interface Scene {
  readonly name: string;
  /** Makes the folder as it is before the start that is killed. */
  readonly prepare: (folder: string) => void;
  /** What must be so once it started in peace. */
  readonly look: (database: SQLite.Database, folder: string) => string | undefined;
}

/** Kills at every word to the disk, in first starts and migrations; kills at any moment beside takes, edits and imports. */
export const kills: Attack = {
  name: "kills in first start, migration, import, edits and takes",
  run: async (isLong) => {
    const folder = mkdtempSync(join(tmpdir(), "vesko-kills-"));
    const shim = buildShim(folder);
    if (!shim) return { skipped: "there is no C compiler for the shim" };
    const broken: string[] = [];
    const figures: string[] = [];
    let tries = 0;
    try {
      const seed = await makeSeed(folder);
      for (const scene of scenesOf(seed)) {
        const syncs = await countSyncs(folder, scene, shim);
        const places = someOf(
          Array.from({ length: syncs }, (_, i) => i + 1),
          isLong ? syncs : 2,
        );
        for (const n of places) {
          tries++;
          const fault = await killAt(folder, scene, shim, n);
          if (fault) broken.push(`${scene.name}, killed at word ${n} of ${syncs} to the disk: ${fault}`);
        }
        figures.push(`${scene.name}: ${places.length} of ${syncs} places`);
      }
      const show = await killBesideWork(seed, isLong ? 40 : 2);
      tries += show.rounds;
      broken.push(...show.broken);
      figures.push(
        `beside takes, edits and an import: ${show.rounds} kills, ${show.takes} takes acknowledged, ${show.broken.length} faults`,
      );
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
    return { tries, broken: broken.slice(0, 20), figures };
  },
};

async function makeSeed(folder: string): Promise<string> {
  const seed = join(folder, "seed");
  const show = new RunningShow(true, { isQuiet: true });
  await show.start();
  await show.close();
  cpSync(join(show.databaseFile, ".."), seed, { recursive: true });
  await show.stop();
  return seed;
}

const isWholeDemo = (database: SQLite.Database): string | undefined => {
  const count = (sql: string) => (database.prepare(sql).get() as { n: number }).n;
  const cues = count("select count(*) n from cue");
  const songs = count("select count(*) n from song");
  const texts = count("select count(*) n from scripture_text where state = 'ready'");
  const media = count("select count(*) n from media");
  const shows = count("select count(*) n from show");
  const verses = count("select count(*) n from scripture_verse");
  if (
    shows === 1 &&
    cues === lanternEvening().cues.length &&
    songs > 0 &&
    texts === 2 &&
    media > 0 &&
    verses > 60_000
  )
    return undefined;
  return `${shows} shows, ${cues} cues, ${songs} songs, ${texts} texts, ${verses} verses, ${media} items`;
};

function scenesOf(seed: string): Scene[] {
  const copy = (folder: string) => cpSync(seed, folder, { recursive: true });
  const withBackup = (database: SQLite.Database, folder: string) => {
    const done = database.prepare("select name from kysely_migration order by name desc").get() as {
      name: string;
    };
    if (done.name !== NEWEST_MIGRATION) return `the newest migration is ${done.name}`;
    const sessions = database.prepare("select name from sqlite_master where name = 'desk_session'").get();
    if (!sessions) return "a table of the migration is missing";
    return existsSync(join(folder, "show.db.backups"))
      ? isWholeDemo(database)
      : "no copy was made before the migration";
  };
  return [
    { name: "first start", prepare: () => {}, look: isWholeDemo },
    { name: "start of a show that is there", prepare: copy, look: isWholeDemo },
    {
      name: "migration",
      prepare: (folder) => {
        copy(folder);
        rmSync(join(folder, "show.db.backups"), { recursive: true, force: true });
        toVersion6(join(folder, "show.db"));
      },
      look: withBackup,
    },
  ];
}

/** Puts a show back to how an old version had it. */
function toVersion6(file: string): void {
  const database = new SQLite(file);
  database.exec(`
    ${BEFORE_DESIGNS}
    drop table desk_session;
    delete from link where kind = 'here';
    alter table air_event drop column act_id;
    alter table show drop column language;
    delete from kysely_migration where name >= 'm0007';
    pragma user_version = 0;
  `);
  database.close();
}

async function countSyncs(folder: string, scene: Scene, shim: string): Promise<number> {
  const at = freshFolder(folder, scene);
  const counted = join(folder, "syncs");
  rmSync(counted, { force: true });
  const show = new RunningShow(true, {
    folder: at,
    isQuiet: true,
    env: { LD_PRELOAD: shim, SYNC_COUNT: counted },
  });
  await show.start();
  await show.close();
  rmSync(at, { recursive: true, force: true });
  return Number(readFileSync(counted, "utf8"));
}

function freshFolder(folder: string, scene: Scene): string {
  const at = join(folder, "scene");
  rmSync(at, { recursive: true, force: true });
  cpSync(mkdtempSync(join(folder, "empty-")), at, { recursive: true });
  scene.prepare(at);
  return at;
}

/** @returns what does not hold after the next start */
async function killAt(folder: string, scene: Scene, shim: string, n: number): Promise<string | undefined> {
  const at = freshFolder(folder, scene);
  const killed = new RunningShow(true, {
    folder: at,
    isQuiet: true,
    env: { LD_PRELOAD: shim, KILL_AT_SYNC: String(n) },
  });
  // A kill that would come after it serves comes while it ends.
  await killed.start().then(
    () => killed.close(),
    () => undefined,
  );
  const show = new RunningShow(true, { folder: at, isQuiet: true });
  try {
    await show.start();
  } catch (error) {
    return `it does not start again: ${(error as Error).message.slice(0, 300)}`;
  }
  await show.close();
  const database = new SQLite(join(at, "show.db"), { readonly: true });
  try {
    const [{ quick_check: said }] = database.pragma("quick_check") as [{ quick_check: string }];
    return said === "ok" ? scene.look(database, at) : `the database is damaged: ${said}`;
  } finally {
    database.close();
    rmSync(at, { recursive: true, force: true });
  }
}

async function killBesideWork(seed: string, rounds: number) {
  const random = seeded(7);
  const broken: string[] = [];
  const folder = mkdtempSync(join(tmpdir(), "vesko-kills-"));
  cpSync(seed, folder, { recursive: true });
  const show = new RunningShow(true, { folder, isQuiet: true });
  let takes = 0;
  const all: string[] = [];
  const edited = new Map<string, string>();
  for (let round = 0; round < rounds; round++) {
    await show.start();
    const desk = await Taker.join(show);
    const until = performance.now() + 300 + random() * 1_200;
    const working = [
      (async () => {
        while (performance.now() < until) await desk.take(`r${round}`);
      })(),
      (async () => {
        for (let i = 0; performance.now() < until; i++) {
          const cueId = `attack-cue-${round}-${i}`;
          const answer = await post(show.base, "/edit", {
            actor: "attack-person",
            edit: { kind: "addCue", cueId, afterId: null, doc: { kind: "remark", text: `round ${round}` } },
          });
          if (answer?.kind === "saved") edited.set(cueId, `round ${round}`);
        }
      })(),
      (async () => {
        await fetch(
          `${show.base}/files/texts?${new URLSearchParams({ fileName: "web.gz", name: `Round ${round}` })}`,
          {
            method: "POST",
            headers: { "Content-Type": "application/octet-stream" },
            body: readFileSync("texts/scripture/web.osis.xml.gz"),
          },
        ).catch(() => undefined);
      })(),
    ];
    await Promise.race([
      Promise.all(working),
      new Promise((done) => setTimeout(done, until - performance.now())),
    ]);
    await show.kill();
    await Promise.race([Promise.allSettled(working), new Promise((done) => setTimeout(done, 300))]);
    desk.end();
    all.push(...desk.acknowledged);
    takes += desk.acknowledged.length;
  }
  await show.start();
  await show.close();
  const database = new SQLite(show.databaseFile, { readonly: true });
  const written = new Set<string>();
  const doubled = new Set<string>();
  const seen = new Set<string>();
  for (const { event } of database.prepare("select event from air_event").iterate() as Iterable<{
    event: string;
  }>) {
    const { kind, takeId, layerId, target } = JSON.parse(event) as {
      kind: string;
      takeId?: string;
      layerId?: string;
      target?: { cueId: string };
    };
    if (!takeId) continue;
    written.add(takeId);
    // One press may be several events: of each layer and cue, one.
    const once = [kind, takeId, layerId, target?.cueId].join(" ");
    if (seen.has(once)) doubled.add(takeId);
    seen.add(once);
  }
  const isTake = (id: string) => id.includes("-take-");
  const lost = all.filter((id) => isTake(id) && !written.has(id));
  if (lost.length > 0) broken.push(`${lost.length} acknowledged takes are lost`);
  if (doubled.size > 0) broken.push(`${doubled.size} takes are doubled`);
  const cues = new Set(
    (database.prepare("select id from cue").all() as { id: string }[]).map(({ id }) => id),
  );
  const gone = [...edited.keys()].filter((id) => !cues.has(id));
  if (gone.length > 0) broken.push(`${gone.length} acknowledged edits are lost`);
  const half = database.prepare("select count(*) n from scripture_text where state <> 'ready'").get() as {
    n: number;
  };
  if (half.n > 0) broken.push(`${half.n} texts are there in part`);
  const few = database
    .prepare(
      "select t.name from scripture_text t where t.name like 'Round%' and (select count(*) from scripture_verse v where v.text_code = t.code) < 31000",
    )
    .all();
  if (few.length > 0) broken.push(`${few.length} texts lack verses`);
  const [{ quick_check: said }] = database.pragma("quick_check") as [{ quick_check: string }];
  if (said !== "ok") broken.push(`the database is damaged: ${said}`);
  database.close();
  rmSync(folder, { recursive: true, force: true });
  return { rounds, broken, takes };
}

async function post(base: string, path: string, body: unknown): Promise<{ kind?: string } | undefined> {
  try {
    const answer = await fetch(base + path, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(body),
    });
    return (await answer.json()) as { kind?: string };
  } catch {
    return undefined;
  }
}
