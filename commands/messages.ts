import { ensureMessages } from './lib/messages.ts';

// As every command does before its own work.
ensureMessages();
