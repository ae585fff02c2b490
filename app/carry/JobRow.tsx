import type { CarryJobView } from "../../core/carry/carryView.ts";
import { formatBytes } from "../ui/format.ts";
import { buttonClass } from "./buttons.ts";
import { ShareBar } from "./ShareBar.tsx";

const DOING: Readonly<Record<CarryJobView["kind"], string>> = {
  save: "Saving",
  look: "Looking at",
  lookAtCopy: "Looking at",
  bring: "Bringing in from",
  open: "Opening",
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
          Download
        </a>
      )}
      {state.kind === "looked" && (
        <button type="button" onClick={onShow} className={buttonClass}>
          Show what is in it
        </button>
      )}
      {state.kind === "running" ? (
        <button type="button" onClick={onCancel} className={buttonClass}>
          Cancel
        </button>
      ) : (
        <button
          type="button"
          aria-label={`Take ${title} off the list`}
          onClick={onForget}
          className={buttonClass}
        >
          Put away
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
      return "Called off. Nothing was changed.";
    case "looked":
      return "Looked at; nothing was changed.";
    case "brought":
      return state.things === 1 ? "1 thing was brought in." : `${state.things} things were brought in.`;
    case "opened":
      return "Open now. The show that was here is kept beside it.";
    case "saved": {
      const { bytes, missing, leftOut } = state.saved;
      const without = [
        ...(missing > 0
          ? [`${missing} ${missing === 1 ? "file is" : "files are"} missing from the library`]
          : []),
        ...(leftOut > 0 ? [`${leftOut} ${leftOut === 1 ? "thing" : "things"} could not be read`] : []),
      ];
      return `Saved, ${formatBytes(bytes)}.${without.length > 0 ? ` Without what is lost: ${without.join(", ")}.` : ""}`;
    }
  }
}
