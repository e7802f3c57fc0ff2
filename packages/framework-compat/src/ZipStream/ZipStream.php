<?php

namespace ZipStream;

use RuntimeException;
use ZipArchive;

/** The part of the zip writer that the XLSX writer calls: files are gathered in a temporary zip, and written out as a whole. */
class ZipStream
{
    private readonly string $file;

    private readonly ZipArchive $zip;

    /** @param resource $outputStream */
    public function __construct(
        private $outputStream,
        bool $enableZip64 = true,
        bool $sendHttpHeaders = false,
        bool $defaultEnableZeroHeader = false,
    ) {
        $this->file = (string) tempnam(sys_get_temp_dir(), 'zip');
        $this->zip = new ZipArchive;
        if ($this->zip->open($this->file, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('A temporary zip file could not be made.');
        }
    }

    public function addFile(string $fileName, string $data): void
    {
        $this->zip->addFromString($fileName, $data);
    }

    public function finish(): int
    {
        $this->zip->close();
        $written = 0;
        $zip = fopen($this->file, 'r');
        if ($zip !== false) {
            $written = (int) stream_copy_to_stream($zip, $this->outputStream);
            fclose($zip);
        }
        unlink($this->file);

        return $written;
    }
}
