'use client';

import { Camera } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { scannedTag } from '@/core/unit/scanned-tag';

/** Pictures looked at a second, and how wide they are looked at, px: a code that fills a quarter of it is read. */
const PER_SECOND = 5;
const WIDE = 640;

/** A label held to the camera opens its unit: live where the page may, else from a picture taken of it. */
export function LabelCamera() {
  const router = useRouter();
  const [live, setLive] = useState(false);
  const [told, setTold] = useState('');
  const found = (text: string | undefined): boolean => {
    const tag = text === undefined ? undefined : scannedTag(text);
    if (tag === undefined) return false;
    setLive(false);
    router.push(`/units/${tag}`);
    return true;
  };
  const fromPicture = async (file: File): Promise<void> => {
    const picture = await createImageBitmap(file).catch(() => undefined);
    const text = picture === undefined ? undefined : await codeIn(picture);
    if (!found(text))
      setTold(
        text === undefined
          ? 'No label’s code is seen in that picture: hold it closer and straight.'
          : 'That code is none of a label of ours.',
      );
  };
  return (
    <div className="mb-4 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="btn-quiet inline-flex items-center gap-2"
        onClick={() => {
          setTold('');
          setLive(!live);
        }}
      >
        <Camera size={18} aria-hidden /> {live ? 'Camera off' : 'Hold a label to the camera'}
      </button>
      <label className="btn-quiet inline-flex cursor-pointer items-center">
        Picture of a label
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(e) => {
            const [file] = e.target.files ?? [];
            if (file !== undefined) void fromPicture(file);
            e.target.value = '';
          }}
        />
      </label>
      {live && <Live onText={found} onFail={setTold} />}
      {told !== '' && (
        <p role="alert" className="w-full border-l-4 border-red pl-3 text-red">
          {told}
        </p>
      )}
    </div>
  );
}

/** The camera's picture, looked at a few times a second. */
function Live({ onText, onFail }: { readonly onText: (text: string | undefined) => boolean; readonly onFail: (why: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const latest = useRef({ onText, onFail });
  useEffect(() => {
    latest.current = { onText, onFail };
  });
  useEffect(() => {
    let stream: MediaStream | undefined;
    let over = false;
    let soon: ReturnType<typeof setTimeout>;
    const look = async (): Promise<void> => {
      const picture = video.current;
      const text = picture !== null && picture.videoWidth > 0 ? await codeIn(picture) : undefined;
      if (!over && !latest.current.onText(text)) soon = setTimeout(() => void look(), 1000 / PER_SECOND);
    };
    // The types know cameras in every context; a page that came without encryption has none.
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (devices === undefined)
      latest.current.onFail('This page came without encryption, and gets no camera: take a picture of the label instead.');
    else
      devices
        .getUserMedia({ video: { facingMode: 'environment' } })
        .then((s) => {
          stream = s;
          if (over || video.current === null) return;
          video.current.srcObject = s;
          void video.current.play();
          void look();
        })
        .catch(() => latest.current.onFail('The camera was not allowed, or there is none: take a picture of the label instead.'));
    return () => {
      over = true;
      clearTimeout(soon);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, []);
  return <video ref={video} muted playsInline className="w-full max-w-md border border-line" aria-label="What the camera sees" />;
}

/** The text of a QR code in a picture; undefined where none is seen. */
const codeIn = async (picture: HTMLVideoElement | ImageBitmap): Promise<string | undefined> => {
  const { decodeQR } = await import('qr/decode.js');
  const [w, h] = picture instanceof HTMLVideoElement ? [picture.videoWidth, picture.videoHeight] : [picture.width, picture.height];
  const scale = Math.min(1, WIDE / Math.max(w, h));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(w * scale), Math.round(h * scale)];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (context === null) return undefined;
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  try {
    return decodeQR(context.getImageData(0, 0, canvas.width, canvas.height));
  } catch {
    // It says so by throwing that there is none.
    return undefined;
  }
};
