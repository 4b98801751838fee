import type { FolderHandle } from './folders';

/** Where the folder is, what this device is called, and the keys of its seals, as the browser keeps them. */
export const PLACE = 'share:folder';
export const DEVICE = 'share:device';
export const DEVICE_NAME = 'share:device-name';
export const KEYS = 'share:keys';

/** A folder that the browser gives, or the one that the running Ergasto was given. */
export type Place = FolderHandle | { given: string };
