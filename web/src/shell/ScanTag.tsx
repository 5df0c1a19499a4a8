import { useLocation, useNavigate } from 'react-router';
import { CameraButton } from '../kit/CameraButton';
import { readScan } from '../kit/scan';
import { leadsTo } from './Scans';

/** Reads a hang tag or a label through the camera, wherever one is. */
export function ScanTag() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return (
    <CameraButton
      label="Scan"
      title="Scan a tag or a label"
      read={readScan}
      none="That code is none of Elvaro’s."
      onScan={(scanned) => void navigate(leadsTo(scanned, pathname))}
    />
  );
}
