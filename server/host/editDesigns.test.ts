import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { DesignEdit } from "../../core/design/designEdit.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { wardrobesOf } from "../store/wardrobes.ts";
import { editDesign, versionsTold } from "./editDesigns.ts";
import { touchesOf } from "./touches.ts";

const ME = "person-under-test";
let show: OpenShow;

beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

const edit = (wanted: DesignEdit) => editDesign(show.services, wanted, ME, 1_000);
const problemOf = async (wanted: DesignEdit) => {
  const outcome = await edit(wanted);
  return "problem" in outcome ? outcome.problem : undefined;
};
const offeredFor = (fieldSet: string) =>
  wardrobesOf(show.services.designs)
    .find(({ outfitId }) => outfitId === "full")
    ?.templates.get(fieldSet)
    ?.map(({ template }) => template.name) ?? [];
const STRAP = { kind: "template", id: "full-name" } as const;

describe("in Design", () => {
  test("a new template is on its outfit's canvas, and offered from when it is published", async () => {
    const of = { kind: "template", id: "quay-strap" } as const;
    const create: DesignEdit = {
      kind: "create",
      of,
      name: "Quay strap",
      fieldSet: "name",
      outfitId: "porch",
    };
    expect(await edit(create)).toMatchObject({
      doc: { canvas: { widthPx: 1_080, heightPx: 1_920 }, objects: [] },
      state: { isDraft: true, published: null },
    });
    const offered = () =>
      wardrobesOf(show.services.designs)
        .find(({ outfitId }) => outfitId === "porch")
        ?.templates.get("name")
        ?.map(({ template }) => template.name) ?? [];
    expect(offered()).not.toContain("Quay strap");
    expect(await problemOf({ kind: "publish", of, note: "", by: "" })).toBeUndefined();
    expect(offered().at(-1)).toBe("Quay strap");
    expect(await problemOf(create)).toMatch(/called so already/);
    expect(await problemOf({ ...create, of: { ...of, id: "other" }, outfitId: "gone" })).toMatch(
      /not here any more/,
    );
  });

  test("a copy is offered by whoever offers the one, once it is published", async () => {
    const of = { kind: "template", id: "strap-two" } as const;
    await edit({ kind: "duplicate", of: STRAP, id: of.id, name: "Strap two" });
    expect(offeredFor("name")).not.toContain("Strap two");
    await edit({ kind: "publish", of, note: "", by: "Desk at the back" });
    expect(offeredFor("name")).toContain("Strap two");
    expect(await versionsTold(show.services.designs, of)).toMatchObject([
      { number: 1, by: "Desk at the back", changes: [] },
    ]);
  });

  test("what publishing touches is counted over all evenings, and screens are named", async () => {
    const { evenings } = show.services;
    const touched = await touchesOf(show.services, STRAP);
    expect(touched).toMatchObject({ evenings: 1, screens: ["Loft wall"], isOnAir: false });
    expect(touched.pages).toBe(touched.cueIds.length);
    await show.services.editEvenings({
      kind: "duplicate",
      eveningId: evenings.open.id,
      fields: { name: "Once more", day: "", startsAt: "", endsAt: "" },
      emptied: [],
    });
    expect(await touchesOf(show.services, STRAP)).toMatchObject({ pages: touched.pages * 2, evenings: 2 });
    expect(await touchesOf(show.services, { kind: "template", id: "gone" })).toMatchObject({ pages: 0 });
  });

  test.each([
    [{ kind: "style", id: "harbour-lamp" }, /The show wears this style/],
    [{ kind: "outfit", id: "full" }, /Screens wear this outfit in “/],
    [{ kind: "fieldSet", id: "words" }, /fill these fields by themselves/],
    [{ kind: "fieldSet", id: "picture" }, /pages? ha(s|ve) these fields, so they stay/],
    [{ kind: "template", id: "full-clip" }, /is the only one that the outfit “Full words” has/],
  ] as const)("what is needed is not deleted: %j", async (of, why) => {
    expect(await problemOf({ kind: "remove", of })).toMatch(why);
    expect(show.services.designs.find(of.kind, of.id)).toBeDefined();
  });

  test("what is not needed goes, and comes back", async () => {
    const of = { kind: "style", id: "regatta" } as const;
    expect(await edit({ kind: "remove", of })).toEqual({ removed: true });
    expect(await problemOf({ kind: "undo", of })).toMatch(/deleted meanwhile/);
    expect(await problemOf({ kind: "putBack", of })).toBeUndefined();
    expect(show.services.designs.find("style", "regatta")?.published?.number).toBe(1);
  });

  test("a kind of page that no page has goes with its templates, and comes back with them", async () => {
    const of = { kind: "fieldSet", id: "awards" } as const;
    const template = { kind: "template", id: "award-strap" } as const;
    await edit({ kind: "createFields", of, name: "Award", layerId: "straps" });
    await edit({ kind: "create", of: template, name: "Award strap", fieldSet: of.id, outfitId: "full" });
    await edit({ kind: "publish", of: template, note: "", by: "" });
    expect(offeredFor("awards")).toEqual(["Award strap"]);
    expect(await problemOf({ kind: "remove", of: template })).toMatch(/is the only one/);
    expect(await edit({ kind: "remove", of })).toEqual({ removed: true });
    expect(offeredFor("awards")).toEqual([]);
    expect(await problemOf({ kind: "undo", of: template })).toMatch(/deleted meanwhile/);
    await edit({ kind: "putBack", of });
    expect(offeredFor("awards")).toEqual(["Award strap"]);
  });
});
