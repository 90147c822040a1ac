import { useFileSender } from './use-attach.ts';

/** Files chosen here before go on being sent wherever one is in the application. */
export function FilesOnTheirWay(): null {
  useFileSender();
  return null;
}
