import { t } from '@kelmot/core';
import { lazy, Suspense, type ComponentType } from 'react';
import { Failed, Skeleton } from '@/shared/ui/states';

/** Notice: this part is not on the device, and there is no signal. */
function NotHere() {
  return (
    <Failed
      say={t('This part is not on the device yet, and there is no signal.')}
      retry={() => globalThis.location.reload()}
    />
  );
}

/**
 * A part of a screen that loads when it is shown: the bench does not wait for it. Cached on the device like the rest.
 */
export function lazyComponent<P extends object>(
  load: () => Promise<ComponentType<P>>,
): ComponentType<P> {
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
