/** The keys that this Brote signs its pushes with (RFC 8292), made at its first start and kept in its database. */
export const vapidKeys = (): { publicKey: string; privateKey: string } => ({
  publicKey: process.env.BROTE_VAPID_PUBLIC ?? '',
  privateKey: process.env.BROTE_VAPID_PRIVATE ?? ''
});
