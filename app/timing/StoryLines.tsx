import { useEffect, useState } from "react";
import type { StoryLine } from "../../core/report/airStory.ts";
import { ask } from "../api/call.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatTimeOfDay } from "../ui/format.ts";

/** What was done, the latest first: on the air, or in the rehearsal, which has a log of its own. */
export function StoryLines({ desk }: { desk: Pick<DeskSnapshot, "channel" | "state"> }) {
  const { channel, state } = desk;
  const locale = useLocale();
  const [of, setOf] = useState(channel);
  const [lines, setLines] = useState<readonly StoryLine[]>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again when something was done
  useEffect(() => {
    let gone = false;
    void ask("/log", `?of=${of}`).then((answer) => {
      if (!gone) setLines("value" in answer ? answer.value.lines : []);
    });
    return () => {
      gone = true;
    };
  }, [of, state.seq]);
  return (
    <div className="flex min-h-0 flex-1 flex-col px-6 py-4">
      <div role="toolbar" aria-label="Which log" className="mb-3 flex gap-2">
        {(["air", "rehearsal"] as const).map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={of === each}
            onClick={() => setOf(each)}
            className="min-h-9 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            {each === "air" ? "On the air" : "In rehearsal"}
          </button>
        ))}
      </div>
      {lines?.length === 0 && (
        <p className="text-[16px] text-second">
          {of === "air" ? "Nothing was done yet." : "Nothing was rehearsed since the server started."}
        </p>
      )}
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto">
        <table className="w-full text-[15px]">
          <thead className="sr-only">
            <tr>
              <th>Time</th>
              <th>What</th>
              <th>Words</th>
              <th>Who</th>
            </tr>
          </thead>
          <tbody>
            {[...(lines ?? [])].reverse().map(({ seq, atMs, what, words, who }) => (
              <tr key={seq} className="border-t border-edge">
                <td className="w-36 py-1.5 font-mono whitespace-nowrap tabular-nums">
                  {formatTimeOfDay(atMs, locale)}
                </td>
                <td className="w-56 pr-4">{what}</td>
                <td className="max-w-0 truncate font-words text-[16px]">{words}</td>
                <td className="w-40 pl-4 text-second">
                  {who?.kind === "timer" ? "by itself" : (who?.name ?? "")}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
