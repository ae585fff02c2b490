import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, describe, expect, test } from "vitest";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { emptyShow } from "../newShow.ts";
import { KeptContents } from "./keptContents.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-kept-"));
const file = join(folder, "show.db");
const beside = `${file}.contents`;
let open: OpenShow | undefined;

const start = async (program = "this build") => {
  open = await openShow(file, { seed: emptyShow(), keptContents: new KeptContents(file, program) });
  return open.services;
};
const end = async () => {
  await open?.close();
  open = undefined;
};
const titles = (services: OpenShow["services"]) =>
  services.rundown.ready().map(({ content }) => Object.values(content.values).join(" "));
const add = (services: OpenShow["services"], name: string) =>
  services.rundown.edit(
    "person",
    {
      kind: "addCue",
      cueId: `cue-of-${name.toLowerCase()}`,
      afterId: null,
      doc: pageCue({ fieldSet: "name", values: { name, role: "boat builder" } }),
    },
    1,
  );

afterEach(async () => {
  await end();
  for (const name of readdirSync(folder)) rmSync(join(folder, name), { recursive: true, force: true });
});

describe("contents kept for the next start", () => {
  test("are those that would be made, and are used only by the same build with the same ingredients, whole", async () => {
    const first = await start();
    await add(first, "Mirela");
    await add(first, "Jonah");
    const made = first.rundown.ready().map(({ hash }) => hash);
    await end();
    expect(statSync(beside).mode & 0o777).toBe(0o600);

    // What stands there is really taken: a word changed in it is seen.
    const lines = readFileSync(beside, "utf8").split("\n");
    const head = String(lines[0]);
    const stamp = head.slice("this build ".length);
    const kept = new KeptContents(file, "this build").read(stamp);
    expect(kept.map(({ hash }) => hash)).toEqual(made);
    await new KeptContents(file, "this build").write(
      stamp,
      kept.map(({ cueId, hash, content }) => {
        const cue = first.rundown.ready().find((each) => each.cueId === cueId);
        if (!cue) throw new Error(`${cueId} is not there`);
        return { cueId, hash, doc: cue.doc, content: { ...content, values: { name: "Kept", role: "" } } };
      }),
    );
    expect(titles(await start())).toEqual(["Kept ", "Kept "]);
    await end();

    // Another build makes its own.
    const other = await start("another build");
    expect(titles(other).join()).toMatch(/Jonah.*Mirela/);
    expect(other.rundown.ready().map(({ hash }) => hash)).toEqual(made);
    // Other ingredients: what was kept before is of no use.
    await other.setLicence("77 123");
    await end();
    expect(new KeptContents(file, "another build").read(stamp)).toEqual([]);

    // A letter of it lost on the disk.
    const text = readFileSync(beside, "utf8");
    writeFileSync(beside, text.replaceAll("Jonah", "Jonas"));
    expect(titles(await start("another build")).join()).toMatch(/Jonah.*Mirela/);
    await end();
    writeFileSync(beside, "");
    expect(titles(await start("another build")).join()).toMatch(/Jonah.*Mirela/);
  });

  test("a cue that was changed since is made anew, the others are not", async () => {
    const first = await start();
    await add(first, "Mirela");
    await add(first, "Jonah");
    await end();
    const kept = readFileSync(beside, "utf8");
    const second = await start();
    const cue = second.rundown.views().find(({ cueId }) => cueId === "cue-of-jonah");
    if (!cue) throw new Error("the cue is gone");
    await second.rundown.edit(
      "person",
      {
        kind: "changeCue",
        cueId: cue.cueId,
        baseRevision: cue.revision,
        doc: pageCue({ fieldSet: "name", values: { name: "Jonah Brand", role: "boat builder" } }),
      },
      2,
    );
    await end();
    // As after a machine that lost its power: what was kept is older than the show.
    writeFileSync(beside, kept);
    expect(titles(await start()).join()).toMatch(/Jonah Brand.*Mirela/);
  });
});
