import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { refresh } from '../api/house';
import { dropOffer, dropOffers, OFFERED_FOR_MS, takeBack, useOffers, type Offer } from '../kit/undo';

/** Says what was just done and takes it back; what was done before it comes to light beneath. */
export function UndoBar() {
  const offers = useOffers();
  const last = offers.at(-1);
  const undo = useMutation({
    mutationFn: ({ undo: what }: Offer) => takeBack(what),
    onSuccess: (_, offer) => dropOffer(offer),
    onSettled: () => void refresh(),
  });
  useEffect(() => {
    if (last) {
      const timer = setTimeout(() => dropOffer(last), Math.max(0, last.at + OFFERED_FOR_MS - Date.now()));
      return () => clearTimeout(timer);
    }
  }, [last]);
  // On a phone what is pressed next lies at the foot.
  const phone = useMediaQuery('(max-width:899px)');
  return (
    <Snackbar
      key={last?.at}
      open={last !== undefined}
      message={undo.error ? `Not undone: ${undo.error.message}` : last?.said}
      anchorOrigin={{ vertical: phone ? 'top' : 'bottom', horizontal: 'right' }}
      action={
        <>
          <Button color="inherit" onClick={() => last && undo.mutate(last)} disabled={undo.isPending}>
            Undo
          </Button>
          <Button
            color="inherit"
            onClick={() => {
              undo.reset();
              dropOffers();
            }}
          >
            Close
          </Button>
        </>
      }
    />
  );
}
