import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";
import { findCircles } from "./findCircles.ts";
import { findReferenceFaults } from "./findReferenceFaults.ts";
import { sceneObjectSchema } from "./objectKinds.ts";
import { readTemplateForward } from "./readForward.ts";
import { allObjects, type Template, templateSchema } from "./template.ts";
import { findTooLarge, findTooLargeFile } from "./templateLimits.ts";

/** A template from outside, with what could not be read in it told in sentences. */
export type ReadTemplate =
  | { readonly template: Template; readonly problems: readonly string[] }
  | { readonly problem: string };

/**
 * Reads a template in the open format. An object that this version cannot read (a newer kind, keyframes out of
 * order) is kept as it came, left out of the picture and named; the rest is shown. Rules that go in circles and
 * names that come twice are refused by name.
 */
export function readTemplate(json: string): ReadTemplate {
  const tooLong = findTooLargeFile(utf8Bytes(json));
  if (tooLong) return { problem: tooLong };
  let raw: unknown;
  try {
    raw = JSON.parse(json);
  } catch {
    return { problem: t`The file is not JSON, so no template could be read from it. Nothing was changed.` };
  }
  const outline = z.looseObject({ objects: z.array(z.unknown()) }).safeParse(raw);
  if (!outline.success)
    return {
      problem: t`The file is JSON but not a template (it has no list of objects). Nothing was changed.`,
    };
  const problems: string[] = [];
  const { format } = outline.data;
  if (typeof format === "number" && format > 2)
    return {
      problem: t`The template is of version ${format} of the format, and this program reads up to 2. Nothing was changed.`,
    };
  const forward = readTemplateForward(outline.data);
  const objects = (forward.objects as unknown[]).map((object, i) => readObject(object, i, problems));
  const whole = templateSchema.safeParse({ ...forward, objects });
  if (!whole.success)
    return { problem: t`The template cannot be read: ${firstFault(whole.error)}. Nothing was changed.` };
  const template = whole.data;
  const tooLarge = findTooLarge(template);
  if (tooLarge) return { problem: tooLarge };
  const all = allObjects(template);
  const names = new Set<string>();
  for (const { object } of all) {
    if (names.has(object.id))
      return {
        problem: t`Two objects of the template are called “${object.id}”. Rename one; nothing was changed.`,
      };
    names.add(object.id);
  }
  const circle = findCircles(template);
  if (circle)
    return {
      problem: t`${circle.charAt(0).toUpperCase()}${circle.slice(1)}. Change one of them; nothing was changed.`,
    };
  for (const { sentence } of findReferenceFaults(template)) problems.push(sentence);
  return { template, problems };
}

function utf8Bytes(text: string): number {
  let bytes = 0;
  for (const letter of text) {
    const code = letter.codePointAt(0) ?? 0;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}

function readObject(raw: unknown, index: number, problems: string[]): unknown {
  const read = sceneObjectSchema.safeParse(raw);
  if (read.success) return read.data;
  const named = z.looseObject({ id: nameSchema(60), kind: z.string() }).safeParse(raw);
  const id = named.success ? named.data.id : t`object ${index + 1}`;
  // A group with one bad member keeps the others.
  if (named.success && named.data.kind === "group" && Array.isArray(named.data.objects)) {
    const members = named.data.objects.map((member: unknown, i: number) => readObject(member, i, problems));
    const again = sceneObjectSchema.safeParse({ ...named.data, objects: members });
    if (again.success) return again.data;
  }
  const kinds = sceneObjectSchema.options.map((option) => option.shape.kind.value as string);
  const why =
    named.success && !kinds.includes(named.data.kind)
      ? t`its kind, “${named.data.kind.slice(0, 40)}”, is not known to this version`
      : firstFault(read.error);
  problems.push(t`“${id}” is left out: ${why}. The rest of the template is shown.`);
  return { kind: "unreadable", id, why: why.slice(0, 400), was: raw };
}

function firstFault(error: z.ZodError): string {
  const [issue] = error.issues;
  if (!issue) return t`it is not as the format says`;
  const where = issue.path.length > 0 ? `${issue.path.join(".")}: ` : "";
  return `${where}${issue.message.toLowerCase()}`;
}
