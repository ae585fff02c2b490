import { ArchiveRestore, Copy, Copyright, Redo2, Replace, Trash2, Undo2 } from "lucide-react";
import { type ReactNode, useMemo } from "react";
import { t } from "../../../core/language/t.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { missingOf } from "../../desk/missingCredits.ts";
import { useDeskData } from "../../desk/useDeskData.ts";

/** Panels that stand over the list. */
export type PanelName = "replace" | "credits" | "bin";

/** What is done to the rundown by buttons, and the panels that open over it. */
export function EditTools({
  act,
  hasChosen,
  panel,
  onPanel,
}: {
  act: {
    readonly step: (kind: "undo" | "redo") => unknown;
    readonly duplicate: () => unknown;
    readonly remove: () => unknown;
  };
  hasChosen: boolean;
  panel: string | null;
  onPanel: (name: PanelName) => void;
}) {
  const { cues } = useDesk("cues");
  const { licence } = useDeskData();
  const incomplete = useMemo(() => missingOf(cues, licence).length, [cues, licence]);
  return (
    <div className="flex gap-1.5" role="toolbar" aria-label={t`Edit`}>
      <Tool
        label={t`Undo`}
        keys="Ctrl+Z"
        onPress={() => act.step("undo")}
        icon={<Undo2 aria-hidden="true" className="size-4.5" />}
      />
      <Tool
        label={t`Redo`}
        keys="Ctrl+Shift+Z"
        onPress={() => act.step("redo")}
        icon={<Redo2 aria-hidden="true" className="size-4.5" />}
      />
      <Tool
        label={t`Duplicate`}
        keys="D"
        disabled={!hasChosen}
        onPress={act.duplicate}
        icon={<Copy aria-hidden="true" className="size-4.5" />}
      />
      <Tool
        label={t`Delete`}
        keys={t`Del`}
        disabled={!hasChosen}
        onPress={act.remove}
        icon={<Trash2 aria-hidden="true" className="size-4.5" />}
      />
      <Tool
        label={t`Bin: cues that were deleted`}
        isOn={panel === "bin"}
        onPress={() => onPanel("bin")}
        icon={<ArchiveRestore aria-hidden="true" className="size-4.5" />}
      />
      <Tool
        label={t`Find and replace`}
        keys="R"
        isOn={panel === "replace"}
        onPress={() => onPanel("replace")}
        icon={<Replace aria-hidden="true" className="size-4.5" />}
      />
      <Tool
        label={incomplete === 0 ? t`Credits` : t`Credits: ${incomplete} incomplete`}
        isOn={panel === "credits"}
        onPress={() => onPanel("credits")}
        icon={
          <span className="relative">
            <Copyright aria-hidden="true" className="size-4.5" />
            {incomplete > 0 && (
              <span className="absolute -top-3 -right-4 rounded-full bg-attention px-1.5 text-[13px] font-bold text-on-bright">
                {incomplete}
              </span>
            )}
          </span>
        }
      />
    </div>
  );
}

function Tool({
  label,
  keys,
  icon,
  disabled = false,
  isOn = false,
  onPress,
}: {
  label: string;
  keys?: string;
  icon: ReactNode;
  disabled?: boolean;
  /** Its panel is open. */
  isOn?: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={isOn || undefined}
      title={keys ? `${label} (${keys})` : label}
      disabled={disabled}
      onClick={onPress}
      className={`grid size-9 place-content-center rounded-lg hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted ${isOn ? "bg-act-ground text-act" : "bg-lifted"}`}
    >
      {icon}
    </button>
  );
}
