import { ExternalLink, Trash2 } from "lucide-react";
import { type ReactNode, useState } from "react";
import { t } from "../../core/language/t.ts";
import { HereOnly } from "../ui/HereOnly.tsx";
import { HoldButton } from "../ui/HoldButton.tsx";
import { useReachable } from "./useReachable.ts";

export const phoneLinkButton =
  "flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge aria-pressed:text-act";

/** The ways to a link for somebody's phone: opened here, by a short code typed there, and ended. */
export function PhoneLinkWays({
  path,
  typedAt,
  onCode,
  onEnd,
  children,
}: {
  path: string;
  /** Where the short code is typed. */
  typedAt: "/table" | "/remote";
  onCode: () => Promise<string | undefined>;
  onEnd: () => void;
  /** What else can be done with it. */
  children?: ReactNode;
}) {
  const reached = useReachable();
  const [code, setCode] = useState("");
  return (
    <>
      <div className="mt-auto flex flex-wrap gap-2">
        <a className={phoneLinkButton} href={path} target="_blank" rel="noopener noreferrer">
          {t`Open here`} <ExternalLink aria-hidden="true" className="size-4" />
        </a>
        <button
          type="button"
          className={phoneLinkButton}
          onClick={() => void onCode().then((answer) => setCode(answer ?? ""))}
        >
          {t`Short code`}
        </button>
        {children}
        <HoldButton
          title={t`Hold for half a second. The phone says that it has ended.`}
          onHeld={onEnd}
          className={phoneLinkButton}
        >
          <Trash2 aria-hidden="true" className="size-4" />
          <span>{t`End`}</span>
        </HoldButton>
      </div>
      {reached?.isHereOnly && <HereOnly />}
      {code !== "" && (
        <p>
          {t`On the phone open`}{" "}
          <span className="font-mono">
            {reached?.origin}
            {typedAt}
          </span>{" "}
          {t`and type`} <strong className="font-mono text-[20px] tracking-wider">{code}</strong>
          <span className="block text-second">{t`Good once, for ten minutes.`}</span>
        </p>
      )}
    </>
  );
}
