import { useQuery } from '@tanstack/react-query';
import type { SharedKind } from './kind';

interface Props {
  what: SharedKind;
  token: string;
  photo: string;
  alt: string;
}

/** A photo behind a link: the token goes in a header, so that it stands in no address. */
export function SharedPhoto({ what, token, photo, alt }: Props) {
  const shown = useQuery({
    queryKey: ['shared photo', photo],
    queryFn: async () => {
      const response = await fetch(`/shared/${what}/photos/${photo}`, {
        headers: { Authorization: `Bearer ${token}` },
      });
      return response.ok ? URL.createObjectURL(await response.blob()) : null;
    },
    staleTime: Infinity,
  });
  return shown.data ? <img src={shown.data} alt={alt} style={{ width: 150, display: 'block' }} /> : null;
}
