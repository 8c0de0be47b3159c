-- Files that come with pages (stylesheets, pictures, fonts, video), each once, by the SHA-256 of its bytes.
CREATE TABLE IF NOT EXISTS assets (
  hash        CHAR(64)     NOT NULL PRIMARY KEY,
  type        VARCHAR(100) NOT NULL,
  size        INT UNSIGNED NOT NULL,
  bytes       LONGBLOB     NOT NULL,
  kept_at     DATETIME(3)  NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
);

ALTER TABLE page_sources ADD COLUMN IF NOT EXISTS kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3);
