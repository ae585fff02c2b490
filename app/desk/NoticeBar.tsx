import { TriangleAlert, X } from "lucide-react";
import { useLocation } from "react-router";
import { t } from "../../core/language/t.ts";
import { useDesk, useDeskStore } from "./deskContext.ts";

/** The last thing the operator was told. It covers no key and takes no focus. */
export function NoticeBar() {
  const { notice: told } = useDesk("notice");
  const store = useDeskStore();
  // What may stay for hours is in nobody's way elsewhere.
  const view = useLocation().pathname.split("/")[1];
  const notice = told?.action?.staysIn && told.action.staysIn !== view ? null : told;
  return (
    <div
      aria-live="polite"
      className="pointer-events-none absolute inset-x-4 bottom-3 z-20 flex justify-center"
    >
      {notice && (
        <p
          key={notice.id}
          className="pointer-events-auto flex max-w-[680px] items-start gap-3 rounded-lg border border-attention bg-attention-ground px-4 py-2.5 text-[15px] shadow-lg"
        >
          {notice.tone === "trouble" && (
            <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0 text-attention" />
          )}
          <span>{notice.sentence}</span>
          {notice.action && (
            <button
              type="button"
              onClick={notice.action.act}
              className="-my-1 min-h-8 shrink-0 rounded-md bg-lifted px-3 hover:bg-edge"
            >
              {notice.action.label}
            </button>
          )}
          <button
            type="button"
            aria-label={t`Put this message away`}
            className="-my-1.5 -mr-2 grid size-8 shrink-0 place-content-center rounded text-second hover:text-paper"
            onClick={() => store.dismissNotice()}
          >
            <X aria-hidden="true" className="size-4" />
          </button>
        </p>
      )}
    </div>
  );
}
