import type { IScannerControls } from '@zxing/browser';

/** Whether this browser lets a page see through its camera; most do so over HTTPS only. */
export const hasCamera = (): boolean => 'mediaDevices' in navigator;

/**
 * Reads codes through the camera until it is stopped.
 *
 * @param into where what it sees is shown
 * @param onText every code that was read, also several times
 * @throws DOMException where there is no camera, or it may not be used
 */
export async function readCodes(
  into: HTMLVideoElement,
  onText: (text: string) => void,
): Promise<IScannerControls> {
  const { BrowserQRCodeReader } = await import('@zxing/browser');
  return new BrowserQRCodeReader().decodeFromConstraints(
    { audio: false, video: { facingMode: 'environment' } },
    into,
    (result) => result && onText(result.getText()),
  );
}
