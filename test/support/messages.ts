import '../../src/messages/every.ts';
