import { lazy, Suspense, type ComponentType } from 'react';

/** What few see, and only once they open it, is loaded then. What stands around it stays. */
export function whenOpened<Props extends object>(load: () => Promise<ComponentType<Props>>) {
  const Loaded = lazy(() => load().then((component) => ({ default: component as ComponentType<object> })));
  return function Opened(props: Props) {
    return (
      <Suspense fallback={null}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}
