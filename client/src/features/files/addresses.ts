import type { Attachment } from '@kotiva/core';

/** Where a file is fetched: a picture in one of its sizes, or the file itself. */
export const addressOf = ({ houseId, id }: Pick<Attachment, 'houseId' | 'id'>, as: 'small' | 'middle' | 'large' | 'file'): string =>
  `/files/${houseId}/${id}/${as}`;

/** The same, to be kept beside other files of the device. */
export const downloadOf = (attachment: Pick<Attachment, 'houseId' | 'id'>): string => `${addressOf(attachment, 'file')}?download`;
