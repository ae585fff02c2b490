import type { FieldValues } from "../lookup.ts";
import type { MediaSource } from "../properties.ts";

interface Shows {
  readonly source: MediaSource;
}

export const mediaField = ({ source }: Shows): string | null =>
  source.kind === "field" ? source.field : null;

export const isMediaBlank = ({ source }: Shows, values: FieldValues): boolean =>
  source.kind === "field" && (values[source.field] ?? "").trim() === "";
