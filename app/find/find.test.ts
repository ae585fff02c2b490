import { describe, expect, test } from "vitest";
import { keyMapSchema } from "../../core/keys/keyMap.ts";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { compile, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { type DeskCue, deskCue } from "../desk/deskCues.ts";
import type { DeskStore } from "../desk/deskStore.ts";
import { typedTitle } from "../ui/describeCue.ts";
import { deskCommands, findCommands } from "./commands.ts";
import { findSteps, findTemplates } from "./localFinds.ts";

const bench = prepareBench();
const fieldSets = new Map(FIELD_SETS.map((set) => [set.id, set]));

function cues(): DeskCue[] {
  return readyCues(bench, [
    strap("Ilse Tarrow", "net mender"),
    song("Verse 1\nRow for the morning\nrow for the tide\n\nChorus\nHeave and away"),
    strap("Söre Lamp", "keeper of the lamp"),
    song("Verse 1\nThe lamp is lit\nabove the quay"),
  ]).map(({ cueId, doc, hash, index, content }) =>
    deskCue({ cueId, revision: 1, doc, compiled: { hash } }, index, () => content, fieldSets),
  );
}
const names = (query: string) => findSteps(query, cues()).map(({ title }) => title);

describe("steps of the rundown", () => {
  test("by title first, then by what they say, each cue once, marks and case aside", () => {
    expect(names("sore")).toEqual(["Söre Lamp"]);
    expect(names("lamp")[0]).toBe("Söre Lamp");
    expect(names("lamp")).toHaveLength(2);
    expect(names("TARROW ilse")).toEqual(["Ilse Tarrow"]);
    const [step] = findSteps("heave", cues());
    expect(step?.words).toContain("Heave and away");
    expect(step?.anchor).toMatchObject({ occurrence: "C" });
    // Words of one step in any order; words that no single step has are not found.
    expect(findSteps("tide row", cues())).toHaveLength(1);
    expect(findSteps("tide heave", cues())).toHaveLength(0);
    expect(findSteps("  ", cues())).toEqual([]);
  });

  test("roles and notes are looked into, and spelling is forgiven", () => {
    expect(names("net mender")).toEqual(["Ilse Tarrow"]);
    expect(names("tarow")).toEqual(["Ilse Tarrow"]);
    expect(names("ilsee tarrow")).toEqual(["Ilse Tarrow"]);
    expect(findSteps("moring tide", cues())[0]?.words).toContain("row for the tide");
    expect(findSteps("mornnig", cues())[0]?.words).toContain("Row for the morning");
    expect(names("kepeer")).toEqual(["Söre Lamp"]);
    const [first, ...others] = cues() as [DeskCue, ...DeskCue[]];
    const noted = {
      ...first,
      view: { ...first.view, doc: { ...first.view.doc, note: "wait for the bell" } },
    };
    expect(findSteps("the bell", [noted, ...others]).map(({ title }) => title)).toEqual(["Ilse Tarrow"]);
  });

  test("by number; one that cannot be taken is found by its name all the same", () => {
    expect(findSteps("3", cues()).map(({ cue }) => cue.index)).toEqual([2]);
    const [first, ...others] = cues();
    const { view } = first as DeskCue;
    const notReady = { ...(first as DeskCue), ready: undefined };
    expect(findSteps(typedTitle(view.doc, fieldSets), [notReady, ...others])[0]).toMatchObject({
      cue: notReady,
      anchor: null,
    });
    const empty = deskCue(
      { ...view, doc: pageCue({ fieldSet: "name" }), compiled: { pending: true } },
      notReady.index,
      () => undefined,
      fieldSets,
    );
    expect(findSteps("empty name", [empty, ...others])[0]).toMatchObject({ cue: empty, anchor: null });
    expect(compile(bench, strap("x"))).toBeDefined();
  });

  test("kinds of pages and their looks, each look once", () => {
    const outfit = {
      id: "full",
      name: "Full",
      linesPerSlide: 4,
      templates: {
        name: [
          { id: "t-1", key: "plain", name: "Name, plain", hasDraft: false },
          { id: "t-2", key: "bar", name: "Name, on a bar", hasDraft: false },
        ],
      },
    };
    const found = findTemplates("name", [outfit, { ...outfit, id: "band" }], fieldSets);
    expect(found[0]).toEqual({ fieldSet: "name", name: "Name strap", template: null });
    expect(found.filter(({ template }) => template?.key === "bar")).toHaveLength(1);
    expect(findTemplates("n", [outfit], fieldSets)).toEqual([]);
  });
});

describe("commands", () => {
  const did: string[] = [];
  const store = {
    getSnapshot: () => ({
      plans: [{ id: "p1", name: "Evening" }],
      channel: "air",
      state: { airRevision: 7 },
    }),
    air: {
      take: (how: string) => did.push(`take ${how}`),
      press: (press: unknown) => did.push(JSON.stringify(press)),
      armNeighbour: () => did.push("arm"),
    },
    rehearse: (isOn: boolean) => did.push(`rehearse ${isOn}`),
  } as unknown as DeskStore;

  test("are named with the venue's own keys", () => {
    const keyOf = (map: object, name: string) =>
      deskCommands(store, keyMapSchema.parse(map), () => {}).find((command) => command.name === name)?.key;
    expect(keyOf({}, "Take the next step")).toBe("Space");
    expect(keyOf({ take: ["Home", "PageDown"] }, "Take the next step")).toBe("Home");
    expect(keyOf({ undo: [] }, "Undo")).toBeNull();
    expect(keyOf({ armNext: ["j"] }, "Arm the step after")).toBe("J");
  });

  test("do what they say; those that change what people see are marked, and clearing is not among them", () => {
    const all = deskCommands(store, {}, (path) => did.push(path));
    for (const { act } of findCommands("screen plan evening", all)) act();
    expect(did).toEqual([JSON.stringify({ kind: "switchPlan", planId: "p1", builtOn: 7 })]);
    findCommands("go timing", all)[0]?.act();
    expect(did.at(-1)).toBe("/timing");
    findCommands("rehearse", all)[0]?.act();
    expect(did.at(-1)).toBe("rehearse true");
    expect(all.filter(({ changesAir }) => changesAir).map(({ name }) => name)).toEqual([
      "Take the next step",
      "Cut to the next step",
      "Undo",
      "Switch to the screen plan “Evening”",
      "All screens to black, or back to their picture",
      "All screens to their stand-by, or back to their picture",
    ]);
    expect(findCommands("clear", all)).toEqual([]);
    expect(findCommands("", all)).toEqual([]);
  });
});
