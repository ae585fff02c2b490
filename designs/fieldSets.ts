import type { FieldSet } from "../core/scene/fieldSet.ts";

/** The field sets that ship. Pages offer these fields; templates show them. */
export const FIELD_SETS: readonly FieldSet[] = [
  {
    id: "name",
    name: "Name strap",
    layerId: "titles",
    fields: [
      { name: "name", label: "Name", hint: "Who is speaking", maxLength: 120 },
      { name: "role", label: "Role", hint: "What they do, or where they are from", maxLength: 160 },
    ],
  },
  {
    id: "title",
    name: "Title",
    layerId: "words",
    fields: [
      { name: "title", label: "Title", hint: "Large, on one or two lines", maxLength: 160 },
      { name: "subtitle", label: "Line under it", hint: "Place, time or subject", maxLength: 200 },
    ],
  },
  {
    id: "corner",
    name: "Corner mark",
    layerId: "corner",
    fields: [{ name: "mark", label: "Mark", hint: "A short name that stays up", maxLength: 40 }],
  },
  {
    id: "backdrop",
    name: "Backdrop",
    layerId: "backdrop",
    fields: [{ name: "name", label: "Name", hint: "For the script only; it is not shown", maxLength: 80 }],
  },
  { id: "words", name: "Song", layerId: "words", fields: [] },
  { id: "reading", name: "Reading", layerId: "words", fields: [] },
];

/** The ones a page cue can have; songs and readings make their own fields. */
export const PAGE_FIELD_SETS = FIELD_SETS.filter(({ fields }) => fields.length > 0);
