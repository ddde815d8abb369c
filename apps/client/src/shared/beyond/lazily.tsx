import { lazy, Suspense, type ComponentType } from 'react';
import { Failed, Skeleton } from '@/shared/ui/states';

/** A part of the application that is neither on the device yet nor within reach. */
function NotHere() {
  return (
    <Failed
      say="This part is not on the device yet, and there is no signal."
      retry={() => globalThis.location.reload()}
    />
  );
}

/** A part of a screen that is fetched when it is shown: the bench does not wait for it. Kept on the device with the rest. */
export function lazily<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async () => ({
    default: await load().catch(() => NotHere as ComponentType<P>),
  }));
  return function Lazily(props: P) {
    return (
      <Suspense fallback={<Skeleton />}>
        <Part {...props} />
      </Suspense>
    );
  };
}
