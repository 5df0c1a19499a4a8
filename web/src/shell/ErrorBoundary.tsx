import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Component, useEffect, useRef, type ReactNode } from 'react';
import { noteReach, useReached } from '../api/reach';
import { Page, Waiting } from '../kit/Page';
import { Problem } from '../api/client';

/** What was tried again in vain a moment ago is broken. */
const IN_VAIN_MS = 20_000;
const TRIED = 'elvaro tried again';

/** How browsers say that a part of the app could not be fetched. */
const isUnfetched = (failure: unknown): boolean =>
  failure instanceof Error &&
  /dynamically imported module|module script failed|preload/i.test(failure.message) &&
  Date.now() - Number(sessionStorage.getItem(TRIED) ?? 0) > IN_VAIN_MS;

/** A view that is not on the device while Elvaro does not answer: it comes by itself once that answers again. */
function NotHere() {
  const reached = useReached();
  const waited = useRef(false);
  useEffect(() => noteReach(false), []);
  useEffect(() => {
    if (!reached) {
      waited.current = true;
    } else if (waited.current) {
      // What could not be fetched once is not fetched again by the browser: only a page loaded anew asks.
      sessionStorage.setItem(TRIED, String(Date.now()));
      window.location.reload();
    }
  }, [reached]);
  return <Waiting failure={new Problem(0)} />;
}

/** Stands in for a view that broke, so that the rail stays and the next step is known. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { fallen: unknown }> {
  override state: { fallen: unknown } = { fallen: undefined };

  static getDerivedStateFromError(failure: unknown) {
    return { fallen: failure ?? true };
  }

  override render() {
    if (isUnfetched(this.state.fallen)) {
      return <NotHere />;
    }
    return this.state.fallen ? (
      <Page title="This view broke">
        <Typography sx={{ mb: 2 }}>
          What was saved is kept. Load it again, or go on by the rail above.
        </Typography>
        <Button variant="contained" onClick={() => window.location.reload()}>
          Load it again
        </Button>
      </Page>
    ) : (
      this.props.children
    );
  }
}
