import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { DatabaseLog } from "../server/second/databaseLog.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const ROUNDS = few(6, 1);
const WRITES = few(2_000, 40);

/** What following costs the first machine for each transaction, and how soon the second one is ready, and leads. */
export async function benchSecond(): Promise<void> {
  printRow(
    "reading a transaction out of the log, before windows hear of it",
    "ms",
    distributionOf(readTimes()),
    "",
  );
  const readyS: number[] = [];
  const goneS: number[] = [];
  const askedS: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const isKilled = round % 2 === 0;
    const first = new RunningShow(true, { isQuiet: true });
    await first.start();
    const link = `${first.base}/second/${secretOf(first.databaseFile)}`;
    const second = new RunningShow(false, { args: ["--follow", link], isQuiet: true });
    await second.start();
    const own = link.replace(first.base, second.base);
    readyS.push(await secondsUntil(async () => (await stateAt(own)).state?.kind === "ready"));
    if (isKilled) {
      await first.kill();
      await secondsUntil(async () => (await stateAt(own)).state?.kind === "lost");
    }
    const headers = { "Content-Type": "application/json" };
    const pressed = fetch(`${own}/take-over`, { method: "POST", headers, body: "{}" });
    const tookS = await secondsUntil(async () => (await stateAt(own)).kind === "leads");
    await pressed;
    (isKilled ? goneS : askedS).push(tookS);
    await first.stop();
    await second.stop();
  }
  printRow(
    "from the second machine’s first page until it could lead (demo, 17 MB)",
    "s",
    distributionOf(readyS),
    "",
  );
  printRow("from the press until it leads, the first one killed", "s", distributionOf(goneS), "");
  printRow("from the press until it leads, the first one asked", "s", distributionOf(askedS), "");
}

async function secondsUntil(isSo: () => Promise<boolean>): Promise<number> {
  const fromMs = performance.now();
  while (!(await isSo())) await new Promise((done) => setTimeout(done, 10));
  return (performance.now() - fromMs) / 1_000;
}

async function stateAt(own: string): Promise<{ readonly kind?: string; readonly state?: { kind: string } }> {
  try {
    const answer = await fetch(`${own}/state`);
    return answer.ok ? ((await answer.json()) as { kind: string }) : {};
  } catch {
    return {};
  }
}

function secretOf(file: string): string {
  const sqlite = new SQLite(file, { readonly: true });
  try {
    const row = sqlite.prepare("select token from link where kind = 'second'").get() as { token: string };
    return row.token;
  } finally {
    sqlite.close();
  }
}

/** As large as those of a take: an event of some hundred bytes in a table with an index. */
function readTimes(): number[] {
  const folder = mkdtempSync(join(tmpdir(), "vesko-bench-second-"));
  const sqlite = new SQLite(join(folder, "show"));
  try {
    sqlite.pragma("journal_mode = WAL");
    sqlite.exec(
      "create table event (seq integer primary key, act text, doc text); create index act on event (act)",
    );
    const insert = sqlite.prepare("insert into event values (?, ?, ?)");
    insert.run(0, "", "");
    const log = new DatabaseLog(join(folder, "show"));
    log.read();
    const times: number[] = [];
    for (let seq = 1; seq <= WRITES; seq++) {
      insert.run(seq, `act-${(seq * 7_919) % WRITES}`, "lamp ".repeat(120));
      const fromMs = performance.now();
      log.read();
      times.push(performance.now() - fromMs);
    }
    log.close();
    return times;
  } finally {
    sqlite.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
