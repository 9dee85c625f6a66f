import { InjectionToken } from '@angular/core';

/** What a camera sees: pictures are taken one at a time and go nowhere. */
export interface Camera {
  /** null before it sees anything. */
  grab(): ImageData | null;
  stop(): void;
}

/** Wide enough for a code at arm’s length, small enough to be read several times a second. */
const WIDTH = 640;

async function deviceCamera(): Promise<Camera> {
  const stream = await navigator.mediaDevices.getUserMedia({
    video: { facingMode: 'environment', width: { ideal: 2 * WIDTH } },
  });
  const video = document.createElement('video');
  video.muted = true;
  video.playsInline = true;
  video.srcObject = stream;
  await video.play();
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('2d', { willReadFrequently: true });
  return {
    grab(): ImageData | null {
      if (!context || video.videoWidth === 0) return null;
      canvas.width = WIDTH;
      canvas.height = Math.round((WIDTH * video.videoHeight) / video.videoWidth);
      context.drawImage(video, 0, 0, canvas.width, canvas.height);
      return context.getImageData(0, 0, canvas.width, canvas.height);
    },
    stop: () => stream.getTracks().forEach((track) => track.stop()),
  };
}

/** Opens the camera. Tests put a stand-in here. @throws DOMException where there is none, or it is not allowed */
export const CAMERA = new InjectionToken<() => Promise<Camera>>('camera', { factory: () => deviceCamera });
