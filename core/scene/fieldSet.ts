/** A named list of fields. Templates that offer the same set are interchangeable. */
export interface FieldSet {
  readonly id: string;
  readonly name: string;
  /** The layer its pages go to. */
  readonly layerId: string;
  readonly fields: readonly FieldDef[];
}

export interface FieldDef {
  readonly name: string;
  readonly label: string;
  readonly hint: string;
  readonly maxLength: number;
}
