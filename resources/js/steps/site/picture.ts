/** As large as the server keeps them: what is larger only fills the phone. */
const LONGEST = 2048;

/** A photograph as small as it may be, upright; as it came where the browser cannot make it smaller. */
export async function smaller(file: Blob): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const share = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * share));
    canvas.height = Math.max(1, Math.round(picture.height * share));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const made = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.85));
    return made && made.size > 0 && made.size < file.size ? made : file;
  } catch {
    return file;
  }
}
