import { t } from '@kelmot/core';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { openCamera } from '@/offline/camera';
import { codeReader } from '@/offline/scanCode';
import { SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';

/** Interval between two reads of the camera picture, ms: a hand holds still for longer. */
const LOOK_MS = 150;

interface ViewfinderProps {
  /** Called with the text of a code, each time one is in view; true stops the reading. */
  found: (text: string) => boolean;
  /** Opens the picture chooser instead. */
  picture: () => void;
  close: () => void;
}

/** Reads codes from the camera until one is accepted or the viewfinder closes. */
function useLooking(found: ViewfinderProps['found']) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<'opening' | 'looking' | 'none'>('opening');
  const take = useRef(found);
  useEffect(() => {
    take.current = found;
  });
  useEffect(() => {
    let open = true;
    let timer: ReturnType<typeof setTimeout>;
    let stream: MediaStream | null = null;
    const reader = codeReader(() => setState('none'));
    const look = async () => {
      const text = video.current && (await reader.read(video.current).catch(() => null));
      if (!open || (text && take.current(text))) return;
      timer = setTimeout(() => void look(), LOOK_MS);
    };
    void openCamera().then(async (camera) => {
      stream = camera;
      if (!open) return stop();
      if (!camera || !video.current) return setState('none');
      video.current.srcObject = camera;
      await video.current.play().catch(() => undefined);
      setState('looking');
      void look();
    });
    function stop() {
      stream?.getTracks().forEach((track) => track.stop());
    }
    return () => {
      open = false;
      clearTimeout(timer);
      reader.close();
      stop();
    };
  }, []);
  return { video, state };
}

/** The camera view for reading a code, with the other ways to enter it. */
export function Viewfinder({ found, picture, close }: ViewfinderProps) {
  const { video, state } = useLooking(found);
  return (
    <View className="gap-2" testID="viewfinder">
      {state === 'none' ? null : (
        <video
          ref={video}
          muted
          playsInline
          aria-label={t('Camera picture')}
          style={{ width: '100%', aspectRatio: '4 / 3', objectFit: 'cover' }}
        />
      )}
      <Txt as="inline" role="status">
        {state === 'opening'
          ? t('Opening the camera.')
          : state === 'looking'
            ? t('Hold the code near the camera, flat and well lit.')
            : t('No camera, or no permission to use it. Take a picture, or type the lot.')}
      </Txt>
      <View className="flex-row flex-wrap gap-2">
        <SecondaryButton
          label={t('Take a picture instead')}
          testID="scan-picture"
          onPress={picture}
        />
        <SecondaryButton label={t('Close the camera')} testID="scan-stop" onPress={close} />
      </View>
    </View>
  );
}
