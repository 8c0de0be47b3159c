-- Sites: the current document with its revision, and the revisions before it.
CREATE TABLE IF NOT EXISTS sites (
  id          VARCHAR(40)  NOT NULL PRIMARY KEY,
  name        VARCHAR(120) NOT NULL,
  position    INT          NOT NULL DEFAULT 0,
  revision    INT UNSIGNED NOT NULL,
  document    JSON         NOT NULL,
  saved_at    DATETIME(3)  NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
);

CREATE TABLE IF NOT EXISTS site_revisions (
  site_id     VARCHAR(40)  NOT NULL,
  revision    INT UNSIGNED NOT NULL,
  document    JSON         NOT NULL,
  saved_at    DATETIME(3)  NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (site_id, revision),
  FOREIGN KEY (site_id) REFERENCES sites (id) ON DELETE CASCADE
);

-- The HTML of pages as the designer brought it, each once, by the SHA-256 of its bytes.
CREATE TABLE IF NOT EXISTS page_sources (
  hash        CHAR(64)     NOT NULL PRIMARY KEY,
  html        MEDIUMTEXT   NOT NULL
);
