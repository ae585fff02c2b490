import { Smartphone } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { RemoteLink } from "../../core/remote/remoteLink.ts";
import { useLinkEnd } from "../desk/LinkEnd.tsx";
import { PhoneLinkWays, phoneLinkButton } from "../desk/PhoneLinkWays.tsx";
import { useReachable } from "../desk/useReachable.ts";
import { LinkCode } from "../ui/LinkCode.tsx";
import { CAN_WORDS, VIEW_WORDS } from "./words.ts";

export interface PhoneLink {
  readonly id: string;
  readonly token: string;
  readonly doc: RemoteLink;
}

/** One link for phones: whose it is, the ways to it, who is on it. */
export function PhoneRow({
  link: { token, doc },
  open,
  isEdited,
  onEdit,
  onCode,
  onEnd,
}: {
  link: PhoneLink;
  /** Phones that have it open. */
  open: number;
  isEdited: boolean;
  onEdit: () => void;
  onCode: () => Promise<string | undefined>;
  onEnd: () => void;
}) {
  const reached = useReachable();
  const end = useLinkEnd(doc.untilMs);
  const path = `/remote/${token}`;
  return (
    <li
      aria-label={doc.name}
      className={`flex flex-wrap gap-4 rounded-lg border bg-raised p-3 text-[15px] ${isEdited ? "border-act" : "border-edge"}`}
    >
      {reached && <LinkCode link={`${reached.origin}${path}`} label={t`Code with the link of ${doc.name}`} />}
      <div className="flex min-w-0 flex-1 flex-col gap-2">
        <p className="flex flex-wrap items-baseline gap-x-3">
          <strong className="text-[17px]">{doc.name}</strong>
          <span
            className={`flex items-center gap-1.5 ${open > 0 ? "font-semibold text-act" : "text-second"}`}
          >
            <Smartphone aria-hidden="true" className="size-4" />
            {open === 0 ? t`not open` : open === 1 ? t`open on 1 phone` : t`open on ${open} phones`}
          </span>
        </p>
        <p className="text-second">
          {t`${CAN_WORDS[doc.can]}; shows ${VIEW_WORDS[doc.view].toLowerCase()}${doc.isHeld && doc.can !== "look" ? t`; a take is held` : ""}${end && `; ${end}`}.`}
        </p>
        <PhoneLinkWays path={path} typedAt="/remote" onCode={onCode} onEnd={onEnd}>
          <button type="button" aria-pressed={isEdited} className={phoneLinkButton} onClick={onEdit}>
            {t`Change`}
          </button>
        </PhoneLinkWays>
      </div>
    </li>
  );
}
