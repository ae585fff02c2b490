import type { DesignEdit, DesignRef, DesignState, VersionTold } from "../../core/design/designEdit.ts";
import {
  changesOf,
  type DesignDoc,
  type DesignKindName,
  differenceInWords,
} from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import { fieldSetSchema } from "../../core/scene/fieldSet.ts";
import { templateSchema } from "../../core/scene/template.ts";
import { type Design, type DesignStore, docOf } from "../store/designStore.ts";
import { whyKept } from "./whyKept.ts";

/** A thing as a person's room has it. */
export interface DesignHere {
  readonly state: DesignState;
  readonly doc: DesignDoc<DesignKindName>;
  /** What was done or undone, as people call it. */
  readonly label: string;
}

/** What came of an edit: the thing as it is now, or a sentence that says why nothing was done. */
export type DesignOutcome = DesignHere | { readonly removed: true } | { readonly problem: string };

const GONE = t`It was deleted meanwhile. Nothing was changed.`;

/** A thing as a person's room has it. */
async function designState(designs: DesignStore, design: Design, actor: string): Promise<DesignState> {
  return {
    revision: design.revision,
    isDraft: design.draft !== null,
    published: design.published?.number ?? null,
    ...(await designs.steps(design, actor)),
  };
}

/** A thing as it is now, for a person's room. */
export async function designAsItIs(
  designs: DesignStore,
  of: DesignRef,
  actor: string,
): Promise<DesignHere | { readonly problem: string }> {
  const design = designs.find(of.kind, of.id);
  return design
    ? { state: await designState(designs, design, actor), doc: docOf(design), label: "" }
    : { problem: GONE };
}

/** The versions of a thing, the newest first, each with what was new in it. */
export async function versionsTold(designs: DesignStore, of: DesignRef): Promise<readonly VersionTold[]> {
  const versions = await designs.versions(of);
  const docs = await Promise.all(versions.map(({ number }) => designs.version(of, number)));
  return versions.map(({ number, atMs, actor: by, note }, i) => {
    const [doc, before] = [docs[i], docs[i + 1]];
    const changes = doc && before ? differenceInWords(of.kind, before, doc) : [];
    return { number, atMs, by, note, changes };
  });
}

/** Carries out what a person does in Design. What is on air stays as it is, whatever is done. */
export async function editDesign(
  parts: Parameters<typeof whyKept>[0],
  edit: DesignEdit,
  actor: string,
  nowMs: number,
): Promise<DesignOutcome> {
  const { designs } = parts;
  const tell = async (of: DesignRef, label: string): Promise<DesignOutcome> => ({
    ...(await designAsItIs(designs, of, actor)),
    label,
  });
  const { of } = edit;
  const by = { actor, atMs: nowMs };
  switch (edit.kind) {
    case "change": {
      const { changes, label, joins } = edit;
      const result = await designs.change(of, changes, { ...by, label, joins });
      return "problem" in result ? result : tell(of, label);
    }
    case "undo":
    case "redo": {
      const result = await designs.step(of, actor, edit.kind);
      return "problem" in result ? result : tell(of, result.label);
    }
    case "publish": {
      if (!designs.find(of.kind, of.id)) return { problem: GONE };
      await designs.publish(of, { actor: edit.by || actor, atMs: nowMs, note: edit.note });
      return tell(of, "Publish");
    }
    case "restore": {
      const design = designs.find(of.kind, of.id);
      const version = await designs.version(of, edit.number);
      if (!design || !version) return { problem: t`That version is not here any more. Nothing was changed.` };
      const label = t`Restore version ${edit.number}`;
      const changes = changesOf(of.kind, docOf(design), version);
      const result = await designs.change(of, changes, { ...by, label, joins: false });
      return "problem" in result ? result : tell(of, label);
    }
    case "create": {
      const outfit = designs.find("outfit", edit.outfitId)?.published?.doc;
      if (!outfit || !designs.find("fieldSet", edit.fieldSet)?.published)
        return { problem: t`That outfit, or those fields, are not here any more. Nothing was made.` };
      const like = [edit.fieldSet, ...Object.keys(outfit.wears)].flatMap((set) => outfit.wears[set] ?? []);
      const canvas = like.flatMap((id) => designs.find("template", id)?.published?.doc.canvas ?? [])[0];
      const made = templateSchema.parse({
        kind: "template",
        format: 2,
        id: of.id,
        name: edit.name,
        fieldSet: edit.fieldSet,
        canvas: canvas ?? { widthPx: 1920, heightPx: 1080 },
        objects: [],
      });
      const ref = { kind: "template", id: of.id } as const;
      if (!(await designs.add(ref, made, { ...by, isDraft: true })))
        return { problem: t`Something is called so already. Nothing was made.` };
      await offerTemplate(designs, edit.outfitId, edit.fieldSet, of.id, by);
      return tell(ref, "Create");
    }
    case "createFields": {
      if (of.kind !== "fieldSet") return { problem: t`Only fields are made so. Nothing was made.` };
      const made = fieldSetSchema.parse({
        kind: "fieldSet",
        id: of.id,
        name: edit.name,
        layerId: edit.layerId,
        fields: [{ name: "words", label: t`Words`, kind: "line" }],
        titledBy: null,
        stepsBy: null,
      });
      const ref = { kind: "fieldSet", id: of.id } as const;
      if (!(await designs.add(ref, made, { ...by, isDraft: false })))
        return { problem: t`Something is called so already. Nothing was made.` };
      return tell(ref, "Create");
    }
    case "duplicate": {
      const design = designs.find(of.kind, of.id);
      if (!design) return { problem: GONE };
      const doc = renamed(docOf(design), edit.id, edit.name);
      const copy = { kind: of.kind, id: edit.id };
      if (!(await designs.add(copy, doc, { ...by, isDraft: true })))
        return { problem: t`Something is called so already. Nothing was made.` };
      // Whoever offers the one offers the other, once it is published.
      if (doc.kind === "template")
        for (const { id: outfitId, published } of designs.list("outfit"))
          if (published?.doc.wears[doc.fieldSet]?.includes(of.id))
            await offerTemplate(designs, outfitId, doc.fieldSet, edit.id, by);
      return tell(copy, "Duplicate");
    }
    case "remove": {
      const kept = await whyKept(parts, of);
      if (kept !== undefined) return { problem: kept };
      // Templates for fields that are gone could not be opened.
      const shown =
        of.kind === "fieldSet"
          ? designs.list("template").filter((each) => docOf(each).fieldSet === of.id)
          : [];
      if (!(await designs.remove([...shown, of], nowMs))) return { problem: GONE };
      return { removed: true };
    }
    case "putBack":
      return (await designs.putBack(of))
        ? tell(of, t`Put back`)
        : { problem: t`It cannot be put back. Nothing was changed.` };
  }
}

/** An outfit names a template as the last of those that it offers; while that is a draft, nobody sees it. */
async function offerTemplate(
  designs: DesignStore,
  outfitId: string,
  fieldSet: string,
  templateId: string,
  by: { readonly actor: string; readonly atMs: number },
): Promise<void> {
  const outfit = designs.find("outfit", outfitId);
  if (!outfit) return;
  const doc = docOf(outfit);
  const wears = { ...doc.wears, [fieldSet]: [...(doc.wears[fieldSet] ?? []), templateId] };
  const label = t`Offer a template`;
  await designs.change(outfit, changesOf("outfit", doc, { ...doc, wears }), { ...by, label, joins: false });
  await designs.publish(outfit, { ...by, note: label });
}

function renamed(doc: DesignDoc<DesignKindName>, id: string, name: string): DesignDoc<DesignKindName> {
  switch (doc.kind) {
    case "template":
    case "fieldSet":
      return { ...doc, id, name };
    case "style":
    case "outfit":
      return { ...doc, name };
  }
}
