import { useEffect, useState } from "react";
import { Link } from "react-router";
import { t } from "../../core/language/t.ts";
import type { MediaUse } from "../../core/wire/mediaUses.ts";
import { ask } from "../api/call.ts";

/** Where something of the library is used; other evenings are asked for. @returns null while they are */
export function useAllUses(id: string, here: readonly MediaUse[]): readonly MediaUse[] | null {
  const [there, setThere] = useState<{ readonly of: string; readonly uses: readonly MediaUse[] }>();
  useEffect(() => {
    const asked = new AbortController();
    void ask("/library-uses", `?id=${encodeURIComponent(id)}`, asked.signal).then((answer) => {
      if (!asked.signal.aborted) setThere({ of: id, uses: "value" in answer ? answer.value : [] });
    });
    return () => asked.abort();
  }, [id]);
  return there?.of === id ? [...here, ...there.uses] : null;
}

export function MediaUses({ uses }: { uses: readonly MediaUse[] }) {
  if (uses.length === 0) return <p className="text-[15px] text-second">{t`Nothing uses it.`}</p>;
  return (
    <ul className="flex flex-col gap-1 text-[15px]">
      {uses.map((use) => (
        <li key={JSON.stringify(use)}>
          {use.kind === "cue" && t`“${use.title}”, a cue of this evening`}
          {use.kind === "template" && (
            <>
              <Link to={`/design/template/${use.templateId}`} className="text-act hover:underline">
                {use.name}
              </Link>
              {t`, a template`}
            </>
          )}
          {use.kind === "source" && t`“${use.name}”, a source in Triggers`}
          {use.kind === "clip" && t`“${use.name}”, in the list of clips`}
          {use.kind === "feed" && t`“${use.name}”, the feed that it comes from`}
          {use.kind === "evening" && t`${use.cues} ${use.cues === 1 ? t`cue` : t`cues`} of “${use.name}”`}
        </li>
      ))}
    </ul>
  );
}
