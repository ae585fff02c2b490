import { t } from "../../core/language/t.ts";
/** Why a code or a link is of no use on another device, and what to do. */
export function HereOnly() {
  return (
    <p className="text-[15px] text-attention">
      {t`Other devices cannot reach this server: it listens to this machine alone. Start it with`}{" "}
      <span className="font-mono">{t`--host 0.0.0.0`}</span>.
    </p>
  );
}
