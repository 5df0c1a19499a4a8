import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useMemo } from 'react';
import { FileButton } from '../kit/FileButton';

/** Pictures that go with a look; on a phone it opens the camera. */
export function PhotoPicker({ photos, onChange }: { photos: File[]; onChange: (photos: File[]) => void }) {
  const shown = useMemo(() => photos.map((photo) => URL.createObjectURL(photo)), [photos]);
  useEffect(() => () => shown.forEach((each) => URL.revokeObjectURL(each)), [shown]);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
      <FileButton
        label="Take a picture"
        name="Picture of the piece"
        accept="image/jpeg,image/png"
        camera
        onFile={(photo) => onChange([...photos, photo])}
      />
      {shown.map((address, index) => (
        <Button
          key={address}
          color="inherit"
          aria-label={`Leave picture ${index + 1} out`}
          onClick={() => onChange(photos.filter((_, each) => each !== index))}
          sx={{ p: 0.5 }}
        >
          <img src={address} alt="" style={{ height: 64, display: 'block' }} />
        </Button>
      ))}
    </Box>
  );
}
