import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { answer, api } from '../api/client';
import { Part } from './Part';

/** How a phone comes to trust the certificate of the house; or that there is none. */
export function Encryption() {
  const known = useQuery({ queryKey: ['encryption'], queryFn: () => answer(api.GET('/api/encryption')) });
  if (!known.data) {
    return null;
  }
  const { own, trustAddress, print } = known.data;
  return (
    <Part
      title="Phones in this network"
      about="A phone uses its camera, works without a network and shows messages only where the way to Elvaro is encrypted."
    >
      {own && trustAddress ? (
        <>
          <Typography>
            Point the phone’s camera here once. The page it opens loads the certificate of this house; it
            shows the same fingerprint.
          </Typography>
          <QRCodeSVG value={trustAddress} size={200} marginSize={4} title="Page to trust this house" />
          <Typography sx={{ overflowWrap: 'anywhere' }}>{trustAddress}</Typography>
          <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
            SHA-256 {print}
          </Typography>
        </>
      ) : (
        <Typography>
          {window.location.protocol === 'https:'
            ? 'It is encrypted, by a certificate that is not of this house’s making.'
            : 'It is not encrypted now. Started with --tls, Elvaro makes a certificate of its own for this house.'}
        </Typography>
      )}
    </Part>
  );
}
