import type { FieldDef, FieldSet } from "../core/scene/fieldSet.ts";
import { MADE_FIELD_SETS } from "./made/made.ts";

const line = (name: string, label: string, hint: string, maxLength = 160): FieldDef => ({
  name,
  label,
  hint,
  maxLength,
  kind: "line",
});
const lines = (name: string, label: string, hint: string, maxLength = 2_000): FieldDef => ({
  name,
  label,
  hint,
  maxLength,
  kind: "lines",
});
const rows = (name: string, label: string, hint: string): FieldDef => ({
  ...lines(name, label, hint),
  kind: "rows",
});
const picture = (name: string, label: string, hint: string): FieldDef => ({
  ...line(name, label, hint, 80),
  kind: "picture",
});
const clip = (name: string, label: string, hint: string): FieldDef => ({
  ...line(name, label, hint, 80),
  kind: "clip",
});
const free = (field: FieldDef): FieldDef => ({ ...field, optional: true });

const set = (
  id: string,
  name: string,
  layerId: string,
  fields: FieldDef[],
  more: Partial<Pick<FieldSet, "stepsBy" | "titledBy" | "made">> = {},
): FieldSet => ({
  kind: "fieldSet",
  id,
  name,
  layerId,
  fields,
  stepsBy: null,
  titledBy: null,
  ...more,
});

/** What the operator writes to those on the stage. */
export const STAGE_NOTE = "note";

/** What songs and readings fill by themselves. */
const MADE = ["words", "second", "section", "title", "credit"];

/** The field sets that ship. Pages offer these fields; templates show them. */
export const FIELD_SETS: readonly FieldSet[] = [
  set("name", "Name strap", "titles", [
    line("name", "Name", "Who is speaking", 120),
    line("role", "Role", "What they do, or where they are from"),
  ]),
  set("title", "Title", "words", [
    line("title", "Title", "Large, on one or two lines"),
    line("subtitle", "Line under it", "Place, time or subject", 200),
  ]),
  set(
    "points",
    "Points",
    "words",
    [
      lines("points", "Points", "One on each line; each comes with a press. Empty lines part groups"),
      line("heading", "Heading", "Above the points"),
    ],
    { stepsBy: "points", titledBy: "heading" },
  ),
  set("corner", "Corner mark", "corner", [
    line("mark", "Mark", "A short name that stays up", 40),
    { ...picture("picture", "Picture", "In place of the lamp"), hasStandIn: true },
  ]),
  set("backdrop", "Backdrop", "backdrop", [line("name", "Name", "For the script only; it is not shown", 80)]),
  set("loop", "Moving backdrop", "backdrop", [
    clip("clip", "Clip", "Loops behind the words"),
    line("name", "Name", "For the script only; it is not shown", 80),
  ]),
  set("picture", "Picture", "picture", [
    picture("picture", "Picture", "From the library"),
    line("caption", "Caption", "Under the picture"),
  ]),
  set("clip", "Clip", "picture", [
    clip("clip", "Clip", "Plays once and leaves"),
    line("caption", "Caption", "Under the clip"),
  ]),
  set("crawl", "Crawl", "ticker", [lines("items", "Notices", "One on each line")]),
  set("roll", "Roll", "words", [
    lines("lines", "Lines", "They go up, one after another"),
    free(line("heading", "Heading", "Stands above")),
  ]),
  set("countdown", "Countdown", "words", [
    {
      ...line("to", "To", "A time (19:00), a day and a time (24 Dec 18:00) or a length (5 min)", 40),
      kind: "time",
    },
    line("label", "Words above", "What it counts to"),
  ]),
  set("clock", "Clock", "picture", [free(line("label", "Words beside", "Place or event"))]),
  set("nowNext", "Now and next", "titles", [
    line("now", "Now", "What is on"),
    line("next", "Next", "What follows"),
    line("later", "Later", "What comes after that"),
  ]),
  set("comment", "Comment", "titles", [
    lines("comment", "Comment", "What they wrote", 600),
    line("from", "From", "Who wrote it", 80),
    { ...free(picture("picture", "Picture", "Of who wrote it")), hasStandIn: true },
  ]),
  set(
    "standings",
    "Table",
    "words",
    [
      rows("rows", "Rows", "One on each line; cells parted by a tab or |"),
      line("heading", "Heading", "Above the table"),
    ],
    { titledBy: "heading" },
  ),
  set(
    "bars",
    "Bars",
    "words",
    [rows("rows", "Rows", "Name | number, one on each line"), line("heading", "Heading", "Above the bars")],
    { titledBy: "heading" },
  ),
  set("squeeze", "Squeeze", "words", [
    line("heading", "Heading", "Beside the window"),
    lines("body", "Words", "Under the heading", 600),
  ]),
  set("credit", "Credit", "titles", [
    line("title", "Title", "Of the song or piece"),
    line("writers", "Writers", "Words and tune"),
    line("publisher", "Publisher and year", ""),
    line("licence", "Licence", "Number of the venue"),
  ]),
  set(STAGE_NOTE, "Note to the stage", "titles", [lines("note", "Note", "Only those on stage see it", 300)]),
  set("standby", "Stand-by", "titles", [
    line("title", "Title", "What people see while they wait"),
    line("subtitle", "Line under it", "When it begins"),
  ]),
  set("words", "Song", "words", [], { made: [...MADE, "writers", "publisher", "licence"] }),
  set("reading", "Reading", "words", [], {
    made: [...MADE, "reference", "translation", "secondTranslation", "rights"],
  }),
  ...MADE_FIELD_SETS,
];
