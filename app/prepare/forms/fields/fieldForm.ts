import type { ComponentType } from "react";
import type { FieldDef } from "../../../../core/scene/fieldSet.ts";

export interface FieldFormProps {
  readonly id: string;
  readonly field: FieldDef;
  /** The first of its page: larger, in the face of words. */
  readonly isFirst: boolean;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

export type FieldForm = ComponentType<FieldFormProps>;
