// A server that tests started ends when they do, even where they were ended in the middle.
process.stdin.on('end', () => process.exit()).resume();
