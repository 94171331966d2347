/** A file that is no package, or a package that cannot be imported; its message says what to do. */
export class NotAPackage extends Error {
  override readonly name = 'NotAPackage';
}
