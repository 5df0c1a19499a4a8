import type { IScannerControls } from '@zxing/browser';

/** Whether this browser lets a page see through its camera; most do so over HTTPS only. */
export const hasCamera = (): boolean => 'mediaDevices' in navigator;

/**
 * Reads codes through the camera until it is stopped: tags and labels of ours, and the codes of boxes.
 *
 * @param into where what it sees is shown
 * @param onText every code that was read, also several times
 * @throws DOMException where there is no camera, or it may not be used
 */
export async function readCodes(
  into: HTMLVideoElement,
  onText: (text: string) => void,
): Promise<IScannerControls> {
  const [{ BrowserMultiFormatReader }, { BarcodeFormat, DecodeHintType }] = await Promise.all([
    import('@zxing/browser'),
    import('@zxing/library'),
  ]);
  const hints = new Map<unknown, unknown>([
    [
      DecodeHintType.POSSIBLE_FORMATS,
      [BarcodeFormat.QR_CODE, BarcodeFormat.CODE_128, BarcodeFormat.DATA_MATRIX],
    ],
    [DecodeHintType.ASSUME_GS1, true], // else the separators of a box's code are dropped
    [DecodeHintType.TRY_HARDER, true],
  ]);
  return new BrowserMultiFormatReader(
    hints as ConstructorParameters<typeof BrowserMultiFormatReader>[0],
  ).decodeFromConstraints(
    { audio: false, video: { facingMode: 'environment' } },
    into,
    (result) => result && onText(result.getText()),
  );
}
