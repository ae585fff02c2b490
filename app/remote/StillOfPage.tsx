import { t } from "../../core/language/t.ts";
import type { RemotePage, RemoteTold } from "../../core/remote/remoteView.ts";
import { stillAddress } from "../pictures/stillAddress.ts";

const WIDTH_PX = 320;

/** The server's picture of a page on the phone's screen of the hall. */
export function StillOfPage({
  page,
  token,
  screen,
}: {
  page: RemotePage;
  token: string;
  screen: RemoteTold["screen"];
}) {
  if (!screen) return null;
  const address = stillAddress(page, screen, Math.min(WIDTH_PX, screen.widthPx), { link: token });
  return (
    <img
      key={address}
      src={address}
      alt={t`${page.title} on ${screen.name}`}
      className="max-h-24 w-32 shrink-0 rounded border border-edge bg-black object-contain"
      // A page that shows nothing there has no picture.
      onError={({ currentTarget }) => {
        currentTarget.style.visibility = "hidden";
      }}
    />
  );
}
