import type { CarryJobView } from "../../core/carry/carryView.ts";
import { t } from "../../core/language/t.ts";
import { formatBytes } from "../ui/format.ts";
import { buttonClass } from "./buttons.ts";
import { ShareBar } from "./ShareBar.tsx";

const DOING: Readonly<Record<CarryJobView["kind"], string>> = {
  save: t`Saving`,
  look: t`Looking at`,
  lookAtCopy: t`Looking at`,
  bring: t`Bringing in from`,
  open: t`Opening`,
};

/** One thing that is done with show files: how far it is, or what came of it. */
export function JobRow({
  job: { id, kind, title, state },
  onShow,
  onCancel,
  onForget,
}: {
  job: CarryJobView;
  onShow: () => void;
  onCancel: () => void;
  onForget: () => void;
}) {
  return (
    <li
      aria-label={title}
      className="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-lg border border-edge px-4 py-2.5 text-[15px]"
    >
      <strong className="min-w-0 truncate">{title}</strong>
      {state.kind === "running" ? (
        <ShareBar label={`${DOING[kind]} ${title}`} share={state.share} />
      ) : (
        <span className={`min-w-0 flex-1 ${state.kind === "failed" ? "text-attention" : "text-second"}`}>
          {told(state)}
        </span>
      )}
      {state.kind === "saved" && (
        <a href={`/files/show/saved/${id}`} download className={`${buttonClass} grid place-content-center`}>
          {t`Download`}
        </a>
      )}
      {state.kind === "looked" && (
        <button type="button" onClick={onShow} className={buttonClass}>
          {t`Show what is in it`}
        </button>
      )}
      {state.kind === "running" ? (
        <button type="button" onClick={onCancel} className={buttonClass}>
          {t`Cancel`}
        </button>
      ) : (
        <button
          type="button"
          aria-label={t`Take ${title} off the list`}
          onClick={onForget}
          className={buttonClass}
        >
          {t`Put away`}
        </button>
      )}
    </li>
  );
}

function told(state: Exclude<CarryJobView["state"], { kind: "running" }>): string {
  switch (state.kind) {
    case "failed":
      return state.sentence;
    case "cancelled":
      return t`Called off. Nothing was changed.`;
    case "looked":
      return t`Looked at; nothing was changed.`;
    case "brought":
      return state.things === 1 ? t`1 thing was brought in.` : t`${state.things} things were brought in.`;
    case "opened":
      return t`Open now. The show that was here is kept beside it.`;
    case "saved": {
      const { bytes, missing, leftOut } = state.saved;
      const without = [
        ...(missing > 0
          ? [t`${missing} ${missing === 1 ? t`file is` : t`files are`} missing from the library`]
          : []),
        ...(leftOut > 0 ? [t`${leftOut} ${leftOut === 1 ? t`thing` : t`things`} could not be read`] : []),
      ];
      return t`Saved, ${formatBytes(bytes)}.${without.length > 0 ? t` Without what is lost: ${without.join(", ")}.` : ""}`;
    }
  }
}
