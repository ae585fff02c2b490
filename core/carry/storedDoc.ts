import { z } from "zod";
import { fromStored, type StoredKind, toStored } from "../stored/storedKind.ts";

/** A stored document as it stands in a show file: of any version up to this one when it is read, of this one when it is written. */
export const storedDoc = <T>(kind: StoredKind<T>) =>
  z.codec(z.record(z.string(), z.unknown()), z.custom<T>(), {
    decode: (stored, context) => {
      const read = fromStored(kind, stored);
      if ("value" in read) return read.value;
      context.issues.push({ code: "custom", message: `${kind.name}: ${read.problem}`, input: stored });
      return z.NEVER;
    },
    encode: (value) => toStored(kind, value),
  });
