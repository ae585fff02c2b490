import { useMemo } from "react";
import type { Locale } from "../ui/format.ts";
import { useDesk } from "./deskContext.ts";

/** Where the show is and how times are told there. */
export function useLocale(): Locale {
  const {
    state: { timeZone },
    venue: { language },
  } = useDesk("state", "venue");
  return useMemo(() => ({ timeZone, language }), [timeZone, language]);
}
