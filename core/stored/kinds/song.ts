import { type SongFields, songSchema } from "../../words/songFields.ts";
import type { Step, StoredKind } from "../storedKind.ts";

/** Breaks made by hand were "cuts". */
export const breaksWereCuts: Step = ({ cuts, ...song }) =>
  cuts === undefined ? song : { ...song, breaks: cuts };

export const songKind: StoredKind<SongFields> = { name: "song", schema: songSchema, steps: [breaksWereCuts] };
