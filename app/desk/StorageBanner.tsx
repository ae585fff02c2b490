import { HardDrive } from "lucide-react";
import { NavLink } from "react-router";
import { t } from "../../core/language/t.ts";
import { useDesk } from "./deskContext.ts";

/** On every view while the disk of the show needs a person: it stays until the disk does well again. */
export function StorageBanner() {
  const { storage } = useDesk("storage");
  if (storage.kind === "well") return null;
  const isGrave = storage.kind !== "littleRoom";
  return (
    <div
      role="alert"
      data-storage={storage.kind}
      className={`flex min-h-10 shrink-0 items-center justify-center gap-3 px-5 py-1.5 text-[15px] ${isGrave ? "bg-attention font-semibold text-on-bright" : "bg-attention-ground"}`}
    >
      <HardDrive aria-hidden="true" className="size-5 shrink-0" />
      <span className="max-w-[980px]">
        {storage.kind === "unwritten" && (
          <strong>{t`NOT SAVED (${storage.events === 1 ? t`1 act` : t`${storage.events} acts`}).`} </strong>
        )}
        {storage.sentence}
      </span>
      <NavLink to="/health" className="shrink-0 underline">
        {t`See more`}
      </NavLink>
    </div>
  );
}
