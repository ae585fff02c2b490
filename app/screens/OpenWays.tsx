import { ExternalLink } from "lucide-react";
import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import { call } from "../api/call.ts";
import { useDesk } from "../desk/deskContext.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { useReachable } from "../desk/useReachable.ts";
import { HereOnly } from "../ui/HereOnly.tsx";
import { LinkCode } from "../ui/LinkCode.tsx";
import { Monitors } from "./Monitors.tsx";

/** Link, code for a camera, and a short code to type on a device. */
export function OpenWays({ output }: { output: Output }) {
  const { outputTokens } = useDeskData();
  const { sources } = useDesk("sources");
  const { revalidate } = useRevalidator();
  const [pairCode, setPairCode] = useState("");
  const token = outputTokens[output.id];
  const reached = useReachable();
  const path = `/out/${token}`;
  if (!token) return <p className="text-[15px] text-second">{t`Its link is being made…`}</p>;
  return (
    <section aria-label={t`Open it`} className="flex flex-col gap-3 rounded-lg border border-edge p-3">
      <h2 className="text-[15px] font-semibold">{t`Open it on its device`}</h2>
      <div className="flex gap-3">
        {reached && (
          <LinkCode link={`${reached.origin}${path}`} label={t`Code with the link of ${output.name}`} />
        )}
        <div className="flex min-w-0 flex-col gap-2 text-[15px]">
          <a
            className="inline-flex min-h-6 items-center gap-1.5 text-act hover:underline"
            href={path}
            target="_blank"
            rel="noopener noreferrer"
          >
            {t`Open here`} <ExternalLink aria-hidden="true" className="size-4" />
          </a>
          {sources.some(({ picture }) => picture.kind === "camera") && (
            <a
              className="inline-flex items-center gap-1.5 text-act hover:underline"
              href={`/cameras/${token}`}
              target="_blank"
              rel="noopener noreferrer"
            >
              {t`Cameras of this machine`} <ExternalLink aria-hidden="true" className="size-4" />
            </a>
          )}
          <Monitors link={path} name={output.name} />
          <button
            type="button"
            className="min-h-8 self-start rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() =>
              void call("/screens-link", { kind: "pair", id: output.id }).then((answer) =>
                setPairCode("value" in answer ? (answer.value.code ?? "") : ""),
              )
            }
          >
            {t`Short code`}
          </button>
          {pairCode && reached?.isHereOnly && <HereOnly />}
          {pairCode && (
            <p>
              {t`On the device open`}{" "}
              <span className="font-mono">
                {reached?.origin}
                {t`/screen`}
              </span>{" "}
              {t`and type`} <strong className="font-mono text-[20px] tracking-wider">{pairCode}</strong>
              <span className="block text-second">{t`Good once, for ten minutes.`}</span>
            </p>
          )}
          <button
            type="button"
            title={t`The old link ends at once`}
            className="min-h-8 self-start rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() =>
              void call("/screens-link", { kind: "renew", id: output.id }).then(() => void revalidate())
            }
          >
            {t`New link`}
          </button>
        </div>
      </div>
    </section>
  );
}
