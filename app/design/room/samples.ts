import { fieldKind } from "../../../core/scene/fieldKinds.ts";
import type { FieldDef, FieldSet } from "../../../core/scene/fieldSet.ts";
import { sampleValues } from "../../../designs/samples.ts";
import type { Samples } from "../../api/loaded.ts";

export const SAMPLE_NAMES = ["typical", "longest", "empty", "otherScript"] as const;
export type SampleName = (typeof SAMPLE_NAMES)[number];
/** What is looked at: one of the samples, the page that the room was opened from, or what is typed into the form. */
export type ProofName = SampleName | PageSample["name"];

/** Values of one page. */
export interface PageSample {
  readonly name: "page" | "typed";
  readonly title: string;
  readonly values: Readonly<Record<string, string>>;
}

/** As much as may be typed, in words. */
const LONG =
  "When the lanterns go down to the water every window on the harbour side is lit and nobody counts the boats until the last of them is home ";
/** Words written from right to left, of joined letters. */
const OTHER = "الليلة تضاء الفوانيس من الميناء إلى الدرج";

/** Values for every field of a set, as an operator may fill it. */
export function samplesFor(
  fieldSetId: string,
  fieldSet: FieldSet | undefined,
  sample: SampleName,
  { picture, clip }: Samples,
): Readonly<Record<string, string>> {
  const usual = sampleValues(fieldSetId);
  const fields = fieldSet?.fields ?? [];
  const made = Object.fromEntries((fieldSet?.made ?? []).map((name) => [name, usual[name] ?? ""]));
  const own = fields.map((field) => {
    const { media } = fieldKind(field.kind);
    const shown = media === "picture" ? picture?.hash : media === "video" ? clip?.hash : undefined;
    if (sample === "empty") return [field.name, ""] as const;
    if (media) return [field.name, field.hasStandIn ? "" : (shown ?? "")] as const;
    const isWords = field.kind === "line" || field.kind === "lines";
    if (isWords && sample === "longest") return [field.name, longest(field.maxLength)] as const;
    if (isWords && sample === "otherScript") return [field.name, OTHER.slice(0, field.maxLength)] as const;
    return [field.name, usual[field.name] ?? field.usual ?? typical(field)] as const;
  });
  const longMade =
    sample === "longest"
      ? Object.fromEntries(Object.keys(made).map((name) => [name, made[name] ? longest(120) : ""]))
      : {};
  const emptyMade = sample === "empty" ? Object.fromEntries(Object.keys(made).map((name) => [name, ""])) : {};
  return { next: usual.next ?? "", ...made, ...longMade, ...emptyMade, ...Object.fromEntries(own) };
}

/** What a field may hold where nothing says more of it than its kind. */
function typical({ kind, label, choices }: FieldDef): string {
  switch (kind) {
    case "number":
      return "12";
    case "time":
      return "25:00";
    case "yesNo":
      return "yes";
    case "color":
      return "#e0744a";
    case "choice":
      return choices?.[0]?.value ?? label;
    case "lines":
      return `${label}\nthe second line\nand a third`;
    case "rows":
      return "Upper slip | 14\nLower slip | 9\nQuay | 4";
    case "line":
    case "picture":
    case "clip":
    case "sound":
      return label;
  }
}

const longest = (length: number): string =>
  LONG.repeat(Math.ceil(length / LONG.length))
    .slice(0, Math.min(length, 400))
    .trim();
