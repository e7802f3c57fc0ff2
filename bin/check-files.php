<?php

// Names what git must not hold: databases, backups and photographs, by name and by content. Exit 1 where there is any.

const OWN = '~\.(sqlite|db|dump|jpe?g|heic|webp|avif|tiff?|dng|part)([.-][a-z]+)?$|^database/backups/|^storage/|(^|/)\.env$~i';

// First bytes of a file of SQLite, of a dump of PostgreSQL, of a photograph (JPEG, WebP, HEIC).
const BEGINS = '~^(SQLite format 3\x00|PGDMP|\xFF\xD8\xFF|RIFF....WEBP|....ftyp(heic|heix|mif1))~s';

exec('git ls-files -z 2>/dev/null', $said, $code);
if ($code !== 0) {
    exit(0); // no checkout of git: nothing can get in
}
$found = [];
foreach (array_filter(explode("\0", implode("\n", $said))) as $file) {
    $begins = is_file($file) ? (string) file_get_contents($file, false, null, 0, 16) : '';
    if (str_starts_with($file, 'public/pictures/')) {
        continue; // of the guide, taken from the demo
    }
    if (preg_match(OWN, $file) === 1 || preg_match(BEGINS, $begins) === 1) {
        $found[] = $file;
    }
}
echo implode('', array_map(fn (string $file): string => "{$file}\n", $found));
exit($found === [] ? 0 : 1);
