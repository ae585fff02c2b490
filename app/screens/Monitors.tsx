import { useState } from "react";
import { t } from "../../core/language/t.ts";
import { findMonitors, type Monitor } from "../ui/findMonitors.ts";

type Found =
  | { readonly kind: "unasked" }
  | { readonly kind: "monitors"; readonly monitors: readonly Monitor[] }
  | { readonly kind: "cannot"; readonly why: string };

/** The monitors of this machine: a press opens the output's window on one, filling it. */
export function Monitors({ link, name }: { link: string; name: string }) {
  const [found, setFound] = useState<Found>({ kind: "unasked" });
  const look = async () => {
    const answer = await findMonitors();
    setFound(
      "monitors" in answer
        ? { kind: "monitors", monitors: answer.monitors }
        : { kind: "cannot", why: t`${answer.why} Or open it here, and move its window there.` },
    );
  };
  const openOn = ({ availLeft, availTop, availWidth, availHeight }: Monitor) => {
    // A window of its own process: one that shares the desk's is painted late.
    const place = `left=${availLeft},top=${availTop},width=${availWidth},height=${availHeight}`;
    window.open(link, "_blank", `popup,noopener,${place}`);
  };
  if (found.kind === "cannot") return <p className="text-[14px] text-attention">{found.why}</p>;
  if (found.kind === "unasked")
    return (
      <button
        type="button"
        onClick={() => void look()}
        className="min-h-8 self-start rounded-md bg-lifted px-3 hover:bg-edge"
      >
        {t`On a monitor…`}
      </button>
    );
  return (
    <div className="flex flex-col items-start gap-1.5">
      {found.monitors.map((monitor, at) => (
        <button
          key={`${monitor.availLeft}/${monitor.availTop}`}
          type="button"
          aria-label={t`Open ${name} on monitor ${at + 1}`}
          onClick={() => openOn(monitor)}
          className="min-h-8 rounded-md bg-lifted px-3 text-left hover:bg-edge"
        >
          {t`Monitor ${at + 1}`}
          <span className="ml-2 font-mono text-[14px] text-second">
            {monitor.availWidth}×{monitor.availHeight}
          </span>
        </button>
      ))}
      <p className="text-[14px] text-second">{t`A double click in the window fills the monitor wholly.`}</p>
    </div>
  );
}
