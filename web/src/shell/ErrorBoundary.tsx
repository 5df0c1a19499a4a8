import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Component, type ReactNode } from 'react';
import { Page } from '../kit/Page';

/** Stands in for a view that broke, so that the rail stays and the next step is known. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { fallen: boolean }> {
  override state = { fallen: false };

  static getDerivedStateFromError() {
    return { fallen: true };
  }

  override render() {
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
