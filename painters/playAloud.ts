/**
 * Plays a clip with its sound; a browser that wants a click before it lets sound out still shows the picture.
 * @returns whether its sound was taken away for that
 */
export async function playAloud(video: HTMLVideoElement): Promise<boolean> {
  try {
    await video.play();
  } catch (error) {
    if (!(error instanceof DOMException) || error.name !== "NotAllowedError" || video.muted) return false;
    video.muted = true;
    await video.play().catch(() => undefined);
    return true;
  }
  return false;
}
