import { expect, test } from "vitest";
import type { DesignEdit } from "../../core/design/designEdit.ts";
import { openShow } from "../../test-support/openShow.ts";
import { editDesign } from "../host/editDesigns.ts";
import { deskDesigns } from "./deskDesigns.ts";

test("desks know which of the templates that are worn have changes that nobody wears yet", async () => {
  const show = await openShow(":memory:");
  const { services } = show;
  const of = { kind: "template", id: "full-title" } as const;
  const edit = async (wanted: DesignEdit) =>
    expect("problem" in (await editDesign(services, wanted, "person-under-test", 1_000))).toBe(false);
  const hasDraft = () =>
    deskDesigns(services.designs)
      .outfits.find(({ id }) => id === "full")
      ?.templates.title?.find(({ id }) => id === of.id)?.hasDraft;
  const doc = services.designs.find("template", of.id)?.published?.doc;
  if (!doc) throw new Error("no such template");
  expect(hasDraft()).toBe(false);
  const changes = [{ path: ["name"], before: doc.name, after: "Title, in work" }];
  await edit({ kind: "change", of, changes, label: "Rename", joins: false });
  expect(hasDraft()).toBe(true);
  await edit({ kind: "publish", of, note: "", by: "" });
  expect(hasDraft()).toBe(false);
  await show.close();
});
