import { lazy, Suspense, type ComponentType } from 'react';
import { Failed, Skeleton } from './states';

/** A part of the application that is neither on the device yet nor within reach. */
function NotHere() {
  return (
    <Failed
      say="This part is not on the device yet, and there is no signal."
      retry={() => globalThis.location.reload()}
    />
  );
}

/** A screen that is fetched when it is opened: the bench does not wait for it. Kept on the device with the rest. */
export function lazily(load: () => Promise<ComponentType>): ComponentType {
  const Screen = lazy(async () => ({ default: await load().catch(() => NotHere) }));
  return function Lazily() {
    return (
      <Suspense fallback={<Skeleton />}>
        <Screen />
      </Suspense>
    );
  };
}
