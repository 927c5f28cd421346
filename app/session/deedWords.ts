/** What somebody did, after their name. */
const WORDS: Readonly<Record<string, string>> = {
  'signed-in': 'signed in',
  'signed-out': 'signed out',
  'sign-in-failed': 'did not get in: the password was wrong',
  'locked-out': 'has to wait between tries: too many wrong passwords',
  'first-lead': 'made the first account',
  invited: 'made an invitation',
  'invitation-taken-back': 'took an invitation back',
  joined: 'came here',
  'role-changed': 'changed a role',
  left: 'took somebody out',
  'came-back': 'brought somebody back',
  'new-way-in': 'made a new way in',
  'password-changed': 'changed the password',
  'passkey-added': 'made a passkey',
  'passkey-removed': 'took a passkey out',
  'device-revoked': 'signed a device out',
  'device-lost': 'called a device lost: it deletes everything',
  'job-made': 'made a job',
  'job-put-away': 'put a job away',
  'job-brought-back': 'brought a job back',
  'job-exported': 'saved a job as a file',
  'link-made': 'made a link for a customer',
  'links-taken-back': 'took back the links of an offer',
}

/** @example deedWords('job-put-away') // 'put a job away' */
export const deedWords = (did: string): string => WORDS[did] ?? did
