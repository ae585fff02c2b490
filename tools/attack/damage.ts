import {
  closeSync,
  copyFileSync,
  cpSync,
  mkdtempSync,
  openSync,
  readdirSync,
  rmSync,
  statSync,
  truncateSync,
  unlinkSync,
  writeFileSync,
  writeSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import { type Attack, seeded } from "./attack.ts";
import { Taker } from "./taker.ts";

/** Databases that are damaged, cut, copied alone or no databases: told in words, and brought back from a copy. */
export const damage: Attack = {
  name: "damaged databases",
  run: async (isLong) => {
    const seed = mkdtempSync(join(tmpdir(), "vesko-damage-"));
    const made = new RunningShow(true, { isQuiet: true });
    await made.start();
    const desk = await Taker.join(made);
    await desk.take();
    // A copy with that take in it.
    await fetch(`${made.base}/health/back-up`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: "{}",
    });
    desk.end();
    // Copied while it is in use, without what lies beside it.
    const alone = join(seed, "alone.db");
    copyFileSync(made.databaseFile, alone);
    await made.close();
    cpSync(join(made.databaseFile, ".."), seed, { recursive: true });
    await made.stop();

    const random = seeded(11);
    const broken: string[] = [];
    const harms: Readonly<Record<string, (file: string) => void>> = {
      "its first page is zeroes": (file) => overwrite(file, 0, Buffer.alloc(4_096)),
      "its header is nonsense": (file) =>
        overwrite(file, 0, Buffer.from("not a database at all, or any more")),
      "it is cut in half": (file) => truncateSync(file, Math.floor(statSync(file).size / 2)),
      "its second page is noise": (file) => overwrite(file, 4_096, Buffer.alloc(4_096, 0xa5)),
      ...Object.fromEntries(
        Array.from({ length: isLong ? 12 : 2 }, (_, i) => [
          `noise in ${40 + i * 10} pages`,
          (file: string) => {
            for (let n = 0; n < 40 + i * 10; n++)
              overwrite(
                file,
                Math.floor(random() * (statSync(file).size / 4_096)) * 4_096,
                Buffer.alloc(4_096, Math.floor(random() * 256)),
              );
          },
        ]),
      ),
    };
    let tries = 0;
    for (const [what, harm] of Object.entries(harms)) {
      tries++;
      const folder = mkdtempSync(join(tmpdir(), "vesko-damage-"));
      cpSync(seed, folder, { recursive: true });
      harm(join(folder, "show.db"));
      const show = new RunningShow(true, { folder, isQuiet: true });
      const said = await refusal(show);
      if (said === undefined) broken.push(`${what}: it was opened as if nothing were`);
      else if (!/is damaged.*Nothing was changed.*--restore/s.test(said))
        broken.push(`${what}: ${said.slice(0, 300)}`);
      if (said && /^\s+at /m.test(said)) broken.push(`${what}: a stack was shown`);
      try {
        await show.start({ args: ["--restore"] });
        const back = await Taker.join(show);
        if (back.seq < 2) broken.push(`${what}: the copy has not what was taken`);
        await back.take();
        back.end();
        if (!readdirSync(folder).some((name) => name.includes("before-restore")))
          broken.push(`${what}: the damaged file is not kept`);
      } catch (error) {
        broken.push(`${what}: it was not restored: ${(error as Error).message.slice(0, 300)}`);
      }
      await show.stop();
      rmSync(folder, { recursive: true, force: true });
    }
    tries++;
    const folder = mkdtempSync(join(tmpdir(), "vesko-damage-"));
    copyFileSync(alone, join(folder, "show.db"));
    const show = new RunningShow(true, { folder, isQuiet: true });
    const said = await refusal(show);
    if (!said || !/was copied while Vesko had it open.*-wal.*Copy both files together/s.test(said))
      broken.push(`copied alone: ${said?.slice(0, 300) ?? "it was opened as if nothing were"}`);
    await show.start({ args: ["--as-it-is"] });
    await show.stop();
    tries++;
    for (const name of readdirSync(folder))
      if (name.startsWith("show.db") && statSync(join(folder, name)).isFile()) unlinkSync(join(folder, name));
    rmSync(join(folder, "show.db.backups"), { recursive: true, force: true });
    writeFileSync(join(folder, "show.db"), "Dear harbour master, ".repeat(400));
    const letter = await refusal(new RunningShow(true, { folder, isQuiet: true }));
    if (!letter || !/cannot be opened as a show database.*Nothing was changed/s.test(letter))
      broken.push(`a letter: ${letter?.slice(0, 300)}`);
    for (const path of [folder, seed]) rmSync(path, { recursive: true, force: true });
    return { tries, broken, figures: [] };
  },
};

/** @returns what it said when it did not start */
async function refusal(show: RunningShow): Promise<string | undefined> {
  try {
    await show.start();
  } catch {
    return show.said;
  }
  await show.kill();
  return undefined;
}

function overwrite(file: string, at: number, bytes: Buffer): void {
  const handle = openSync(file, "r+");
  writeSync(handle, bytes, 0, bytes.length, at);
  closeSync(handle);
}
