/**
 * Calls for each new frame of a clip. Of the first of one that stands still, and of the one that it jumps to, browsers do not always
 * tell by themselves.
 *
 * @returns ends it
 */
export function watchFrames(video: HTMLVideoElement, onFrame: () => void): () => void {
  const end = new AbortController();
  let request = 0;
  const wait = () => {
    request = video.requestVideoFrameCallback(() => {
      wait();
      onFrame();
    });
  };
  wait();
  for (const event of ["loadeddata", "seeked"])
    video.addEventListener(event, onFrame, { signal: end.signal });
  return () => {
    end.abort();
    video.cancelVideoFrameCallback(request);
  };
}
