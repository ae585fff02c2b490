/** Which camera of this machine is which source: kept by the browser, since another machine has others. */
const keyOf = (sourceId: string) => `vesko-camera-${sourceId}`;

/** Calls back when another page of this browser chooses a camera. @returns a function that ends it */
export function onCameraChosen(listener: () => void): () => void {
  const onStorage = ({ key }: StorageEvent) => {
    if (key?.startsWith(keyOf(""))) listener();
  };
  window.addEventListener("storage", onStorage);
  return () => window.removeEventListener("storage", onStorage);
}

export const chosenCamera = (sourceId: string): string | null => localStorage.getItem(keyOf(sourceId));

export function chooseCamera(sourceId: string, deviceId: string | null): void {
  if (deviceId === null) localStorage.removeItem(keyOf(sourceId));
  else localStorage.setItem(keyOf(sourceId), deviceId);
}

/** The camera that was chosen for a source on this machine; null: none was, or it cannot be opened now. */
export async function openChosenCamera(sourceId: string): Promise<MediaStream | null> {
  const deviceId = chosenCamera(sourceId);
  if (deviceId === null || !navigator.mediaDevices) return null;
  try {
    return await navigator.mediaDevices.getUserMedia({
      video: { deviceId: { exact: deviceId }, width: { ideal: 1_920 }, height: { ideal: 1_080 } },
    });
  } catch {
    return null;
  }
}
