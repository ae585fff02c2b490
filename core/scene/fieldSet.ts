import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";
import { FIELD_KINDS, type FieldKindName } from "./fieldKinds.ts";

const fieldName = nameSchema(40);
const fieldKindNames = Object.keys(FIELD_KINDS) as [FieldKindName, ...FieldKindName[]];

export const fieldDefSchema = z.strictObject({
  name: fieldName,
  label: z.string().min(1).max(80),
  hint: z.string().max(200).default(""),
  maxLength: z.number().int().min(1).max(20_000).default(160),
  kind: z.enum(fieldKindNames),
  /** What it holds until something is chosen or typed there; empty, when not said. */
  usual: z.string().max(2_000).optional(),
  /** Under which heading its form stands; fields of a heading follow one another. */
  group: z.string().max(80).optional(),
  /** Of a choice: what can be chosen. */
  choices: z
    .array(z.strictObject({ value: z.string().max(80), label: z.string().min(1).max(80) }))
    .max(60)
    .optional(),
  /** A field that may stay empty does not hold the page back. */
  optional: z.boolean().optional(),
  /** Its template shows something of its own where it is empty. */
  hasStandIn: z.boolean().optional(),
});
export type FieldDef = z.infer<typeof fieldDefSchema>;

/** Fields that one set may have. */
const MOST_FIELDS = 60;

/** A named list of fields. Templates that offer the same set are interchangeable. */
export const fieldSetSchema = z.strictObject({
  kind: z.literal("fieldSet"),
  id: fieldName,
  name: z.string().min(1).max(80),
  /** The layer its pages go to. */
  layerId: nameSchema(60),
  fields: z
    .array(fieldDefSchema)
    .max(MOST_FIELDS)
    .refine((fields) => new Set(fields.map(({ name }) => name)).size === fields.length, {
      message: t`two fields have the same name`,
    }),
  /** The field that names its pages in lists; without it, the first that has words. */
  titledBy: fieldName.nullable(),
  /** The field whose lines come step by step; null: one step. */
  stepsBy: fieldName.nullable(),
  /** Fields that songs and readings fill by themselves. */
  made: z.array(fieldName).max(MOST_FIELDS).optional(),
});
export type FieldSet = z.infer<typeof fieldSetSchema>;

/** Field sets by their ids. */
export type FieldSets = ReadonlyMap<string, FieldSet>;

/** Whether a page may have these fields; songs and readings make their own. */
export const isForPages = ({ fields }: FieldSet): boolean => fields.length > 0;

/** What a step of its own fills on every page. */
const OF_EVERY_PAGE = ["shown", "next"];

/** Every field that a template for these pages may show. */
export const fieldNamesOf = ({ fields, made = [] }: FieldSet): readonly string[] => [
  ...fields.map(({ name }) => name),
  ...made,
  ...OF_EVERY_PAGE,
];
