import { useEffect, useMemo, useState } from "react";
import { type FoundHelp, findHelp } from "./findHelp.ts";
import type { Section } from "./sections.ts";

/** What the guides say of what was typed; they are fetched when something is typed first. */
export function useHelpFinds(query: string): readonly FoundHelp[] {
  const [sections, setSections] = useState<readonly Section[]>([]);
  const isAsked = query.trim() !== "";
  useEffect(() => {
    if (!isAsked) return;
    let isOpen = true;
    void import("./guides.ts").then(({ SECTIONS }) => {
      if (isOpen) setSections(SECTIONS);
    });
    return () => {
      isOpen = false;
    };
  }, [isAsked]);
  return useMemo(() => findHelp(query, sections), [query, sections]);
}
