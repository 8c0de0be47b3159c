-- Which files and sources each version names: read from its document once, so that nobody has to read all of them again.
CREATE TABLE IF NOT EXISTS revision_files (
  site_id     VARCHAR(40)  NOT NULL,
  revision    INT UNSIGNED NOT NULL,
  hash        CHAR(64)     NOT NULL,
  PRIMARY KEY (site_id, revision, hash),
  KEY revision_files_by_hash (hash),
  FOREIGN KEY (site_id, revision) REFERENCES site_revisions (site_id, revision) ON DELETE CASCADE ON UPDATE CASCADE
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

-- When that was: as it was saved then.
ALTER TABLE site_revisions ADD COLUMN IF NOT EXISTS files_read_at DATETIME(3) NULL;

-- Home lists sites in their order; what is old is found by when it was kept, or removed.
CREATE INDEX IF NOT EXISTS sites_in_order ON sites (removed_at, position, name, id);

CREATE INDEX IF NOT EXISTS assets_by_age ON assets (kept_at);

CREATE INDEX IF NOT EXISTS page_sources_by_age ON page_sources (kept_at);
