import { Camera } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import { chooseCamera, chosenCamera, openChosenCamera } from "../live/chosenCamera.ts";

interface CameraSource {
  readonly id: string;
  readonly name: string;
}

type Found =
  | { readonly kind: "notAsked" | "asking" }
  | { readonly kind: "refused"; readonly why: string }
  | { readonly kind: "found"; readonly cameras: readonly MediaDeviceInfo[] };

/** Which camera of this machine is which source. It is beside the screen's own window, so that nothing of it is ever on air. */
export function CamerasView({ name, sources }: { name: string; sources: readonly CameraSource[] }) {
  const [found, setFound] = useState<Found>({ kind: "notAsked" });
  const look = async () => {
    setFound({ kind: "asking" });
    setFound(await findCameras());
  };
  return (
    <main data-desk className="mx-auto flex min-h-dvh max-w-2xl flex-col gap-5 px-5 py-8">
      <h1 className="text-[24px] leading-tight font-bold">{t`Cameras at this machine, for ${name}`}</h1>
      {sources.length === 0 ? (
        <p className="text-[17px] text-second">
          {t`No source is a camera of a screen’s own machine. At the desk, in Triggers, say of a source that its picture is “a camera at the screen’s own machine”; then load this page again.`}
        </p>
      ) : (
        <>
          <p className="text-[17px] text-second">
            {t`${name} shows these cameras where the program picture is seen. Say here which camera is which. The browser asks first whether this page may see them; the pictures stay on this machine.`}
          </p>
          {found.kind !== "found" && (
            <button
              type="button"
              disabled={found.kind === "asking"}
              onClick={() => void look()}
              className="flex min-h-11 w-fit items-center gap-2 rounded-lg bg-act px-5 text-[16px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
            >
              <Camera aria-hidden="true" className="size-5" />
              {found.kind === "asking" ? t`Looking…` : t`Look for cameras`}
            </button>
          )}
          {found.kind === "refused" && (
            <p role="alert" className="text-[16px] text-attention">
              {found.why}
            </p>
          )}
          {found.kind === "found" &&
            sources.map((source) => <OneSource key={source.id} source={source} cameras={found.cameras} />)}
          {found.kind === "found" && (
            <p className="text-[15px] text-second">
              {t`It is kept by this browser. A window of ${name} in it follows at once; this page can be closed.`}
            </p>
          )}
        </>
      )}
    </main>
  );
}

/** Asks the browser for its cameras; their names are told only to pages that may see them. */
async function findCameras(): Promise<Found> {
  if (!navigator.mediaDevices)
    return {
      kind: "refused",
      why: t`This browser gives cameras only to pages over TLS or on the server’s own machine. Start the server with --tls-cert, or open this page there.`,
    };
  try {
    const stream = await navigator.mediaDevices.getUserMedia({ video: true });
    for (const track of stream.getTracks()) track.stop();
    const devices = await navigator.mediaDevices.enumerateDevices();
    return { kind: "found", cameras: devices.filter(({ kind }) => kind === "videoinput") };
  } catch (error) {
    const isForbidden = error instanceof DOMException && error.name === "NotAllowedError";
    return {
      kind: "refused",
      why: isForbidden
        ? t`The browser was told not to let this page see cameras. Allow it beside the address, and look again.`
        : t`No camera could be opened. Plug one in, close other programs that use it, and look again.`,
    };
  }
}

function OneSource({ source, cameras }: { source: CameraSource; cameras: readonly MediaDeviceInfo[] }) {
  const [deviceId, setDeviceId] = useState(chosenCamera(source.id));
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    let stream: MediaStream | null = null;
    let isGone = false;
    const stop = () => {
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
    if (deviceId !== null)
      void openChosenCamera(source.id).then((opened) => {
        stream = opened;
        if (isGone) stop();
        else if (video.current) video.current.srcObject = opened;
      });
    return () => {
      isGone = true;
      stop();
      if (video.current) video.current.srcObject = null;
    };
  }, [source.id, deviceId]);
  const choose = (chosen: string | null) => {
    chooseCamera(source.id, chosen);
    setDeviceId(chosen);
  };
  return (
    <section
      aria-label={source.name}
      className="flex flex-wrap items-start gap-4 rounded-lg border border-edge p-4"
    >
      <div className="flex min-w-60 flex-1 flex-col gap-2">
        <label htmlFor={`camera-${source.id}`} className="text-[19px] font-semibold">
          {t`“${source.name}” is`}
        </label>
        <select
          id={`camera-${source.id}`}
          value={deviceId ?? ""}
          onChange={({ target }) => choose(target.value === "" ? null : target.value)}
          className="min-h-11 rounded-md border border-edge-strong bg-ground px-3 text-[16px]"
        >
          <option value="">{t`no camera here`}</option>
          {deviceId !== null && !cameras.some((camera) => camera.deviceId === deviceId) && (
            <option value={deviceId}>{t`one that is not plugged in`}</option>
          )}
          {cameras.map((camera, index) => (
            <option key={camera.deviceId} value={camera.deviceId}>
              {camera.label || t`Camera ${index + 1}`}
            </option>
          ))}
        </select>
      </div>
      <video
        ref={video}
        muted
        autoPlay
        playsInline
        aria-label={t`What “${source.name}” shows`}
        className="aspect-video w-72 rounded-md bg-ground object-cover"
      />
    </section>
  );
}
