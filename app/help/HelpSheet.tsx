import { lazy, Suspense } from "react";
import { Link, useLocation } from "react-router";
import { t } from "../../core/language/t.ts";
import { CloseButton } from "../ui/CloseButton.tsx";
import { useKeys } from "../ui/useKeys.ts";
import { helpAt } from "./helpOfViews.ts";
import { openHelp, useHelpPlace } from "./openHelp.ts";

const HelpText = lazy(() => import("./HelpText.tsx"));

/** The help beside the view that it is asked in: what is done in the view goes on, with its keys. */
export function HelpSheet() {
  const place = useHelpPlace();
  const { pathname } = useLocation();
  useKeys({
    F1: { run: () => openHelp(place ? null : helpAt(pathname)), where: "everywhere" },
    ...(place && { Escape: { run: () => openHelp(null), where: isInHelp } }),
  });
  if (!place) return null;
  return (
    <aside
      aria-label={t`Help`}
      data-help
      className="fixed top-15 bottom-36 left-4 z-40 flex w-[min(460px,94vw)] flex-col overflow-hidden rounded-xl border border-edge-strong bg-raised shadow-2xl"
    >
      <div className="flex min-h-12 items-center gap-4 border-b border-edge px-4">
        <h2 className="text-[17px] font-semibold">{t`Help`}</h2>
        <Link
          to={`/help?guide=${place.guide}#${place.section}`}
          onClick={() => openHelp(null)}
          className="text-[14px] text-act underline"
        >
          {t`All of it`}
        </Link>
        <span className="text-[14px] text-second">
          <kbd>F1</kbd> {t`closes`}
        </span>
        <CloseButton label={t`Close the help`} onClose={() => openHelp(null)} />
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto px-5 py-4">
        <Suspense fallback={<p className="text-second">{t`Opening the help…`}</p>}>
          <HelpText place={place} go={openHelp} />
        </Suspense>
      </div>
    </aside>
  );
}

const isInHelp = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest("[data-help]") !== null;
