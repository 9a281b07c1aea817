/** What files a site may hold, as the dialog for files asks. */
export const ACCEPTED =
  'image/svg+xml,image/png,image/jpeg,image/webp,image/gif,video/mp4,video/webm';
