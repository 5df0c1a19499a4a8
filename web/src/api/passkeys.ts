import { answer, api, drawFor, sendJson } from './client';

/** Whether this browser has passkeys, at an address that can have them: a name, reached safely. */
export const passkeysPossible = (): boolean =>
  window.isSecureContext &&
  typeof window.PublicKeyCredential?.parseRequestOptionsFromJSON === 'function' &&
  !/^[\d.]+$|:/.test(window.location.hostname);

export const myPasskeys = () => answer(api.GET('/api/me/passkeys'));

export const removePasskey = (id: string) =>
  api.DELETE('/api/me/passkeys/{id}', { params: { path: { id } } });

/** Makes one on this device. Null where the person called it off. */
export async function addPasskey(label: string): Promise<boolean> {
  const options = await sendJson('/webauthn/register/options');
  const made = await asked(() =>
    navigator.credentials.create({
      publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(
        options as PublicKeyCredentialCreationOptionsJSON,
      ),
    }),
  );
  if (!made) {
    return false;
  }
  await sendJson('/webauthn/register', { publicKey: { credential: made.toJSON() as object, label } });
  return true;
}

/** Signs in with one. False where the person called it off. */
export async function signInWithPasskey(): Promise<boolean> {
  drawFor(undefined);
  const options = await sendJson('/webauthn/authenticate/options');
  const shown = await asked(() =>
    navigator.credentials.get({
      publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(
        options as PublicKeyCredentialRequestOptionsJSON,
      ),
    }),
  );
  if (!shown) {
    return false;
  }
  await sendJson('/login/webauthn', shown.toJSON() as object);
  return true;
}

/** A person who calls it off has said no; that is no failure. */
async function asked(ask: () => Promise<Credential | null>): Promise<PublicKeyCredential | null> {
  try {
    return (await ask()) as PublicKeyCredential | null;
  } catch (failure) {
    if (failure instanceof DOMException && ['NotAllowedError', 'AbortError'].includes(failure.name)) {
      return null;
    }
    throw failure;
  }
}
