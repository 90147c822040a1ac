import { DetailedError, Upload } from 'tus-js-client';
import type { Progress, Sent, Try } from './file-sender.ts';
import type { WaitingFile } from './waiting-files.ts';

const UPLOADS = '/files/coming';
/** Each part is one request, short enough for a slow line to end it in time. */
const PART_BYTES = 1024 * 1024;

/** Sends a file by the tus protocol, from where it was broken off. */
export function tusTry({ id, blob, begun }: WaitingFile, { onBegun, onProgress }: Progress): Try {
  let upload: Upload;
  let leave: (error: Error) => void;
  const done = new Promise<Sent>((resolve, reject) => {
    leave = reject;
    upload = new Upload(blob, {
      endpoint: UPLOADS,
      // an upload goes by the id of its attachment: asked first how much of it has come
      uploadUrl: begun ? `${UPLOADS}/${id}` : null,
      metadata: { attachment: id },
      chunkSize: PART_BYTES,
      retryDelays: null,
      storeFingerprintForResuming: false,
      onUploadUrlAvailable: onBegun,
      onProgress,
      onSuccess: () => resolve({ as: 'arrived' }),
      onError: (error) => {
        const sent = sentOf(error);
        if (sent) resolve(sent);
        else reject(error);
      },
    });
    upload.start();
  });
  return {
    done,
    stop() {
      void upload.abort();
      leave(new Error('stopped'));
    },
  };
}

/** What the server said; null: it said nothing, or nothing that lasts. */
function sentOf(error: Error | DetailedError): Sent | null {
  if (!(error instanceof DetailedError) || !error.originalResponse) return null;
  const status = error.originalResponse.getStatus();
  const said = problemIn(error.originalResponse.getBody());
  // nothing else says that a file is not needed here any more
  if (said.code === 'arrived' || said.code === 'gone') return { as: said.code };
  if (said.code === 'not-begun') return null;
  if (status === 413 || status === 507 || status === 404 || status === 403) return { as: 'refused', code: said.code ?? 'failed', params: said.params ?? {} };
  return null;
}

function problemIn(body: string): { code?: string; params?: Record<string, string | number> } {
  try {
    return JSON.parse(body) as { code?: string };
  } catch {
    return {};
  }
}
