import Box from '@mui/material/Box';
import { Suspense, useDeferredValue, type ReactNode } from 'react';

interface Props {
  /** Kept free for it meanwhile, in px or with its unit. */
  height?: number | string;
  /** Stands in its place meanwhile. */
  meanwhile?: ReactNode;
  children: ReactNode;
}

/**
 * What is heavy to draw, or fetched only for this: it comes once the rest of its view stands, drawn in slices between which
 * the browser answers whoever is typing or touching.
 */
export function Later({ height, meanwhile = <Box sx={{ height }} />, children }: Props) {
  const isNow = useDeferredValue(true, false);
  return isNow ? <Suspense fallback={meanwhile}>{children}</Suspense> : meanwhile;
}
