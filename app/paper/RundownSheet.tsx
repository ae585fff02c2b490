import { t } from "../../core/language/t.ts";
import { cueTiming } from "../ui/describeCue.ts";
import { formatLength } from "../ui/format.ts";
import type { PaperCue } from "./paperCue.ts";

/** The rundown as a sheet: one line for each cue. */
export function RundownSheet({ cues }: { cues: readonly PaperCue[] }) {
  return (
    <table className="w-full text-[14px] tabular-nums">
      <thead className="text-left">
        <tr className="border-b border-paper">
          <th className="w-8 py-1">{t`No.`}</th>
          <th className="w-16">{t`At`}</th>
          <th>{t`Cue`}</th>
          <th>{t`Kind`}</th>
          <th className="w-[19%]">{t`By itself`}</th>
          <th className="w-16 text-right">{t`Length`}</th>
          <th className="w-[22%] pl-3">{t`Note`}</th>
        </tr>
      </thead>
      <tbody>
        {cues.map(({ view: { cueId, doc }, index, title, kindName, plannedAt }) => (
          <tr key={cueId} className="break-inside-avoid border-b border-edge align-top">
            <td className="py-1 font-mono">{index + 1}</td>
            <td className="py-1 font-mono">{plannedAt}</td>
            <td className={`py-1 pr-2 font-semibold ${doc.isOff ? "line-through" : ""}`}>{title}</td>
            <td className="py-1 pr-2">{kindName}</td>
            <td className="py-1 pr-2">{cueTiming(doc) ?? ""}</td>
            <td className="py-1 text-right font-mono">
              {doc.plannedMs === null ? "" : formatLength(doc.plannedMs)}
            </td>
            <td className="py-1 pl-3 whitespace-pre-line">{doc.note}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
