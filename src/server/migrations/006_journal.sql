-- Which edits of each window are saved: its running number, stored in the transaction that saves them.
CREATE TABLE IF NOT EXISTS site_windows (
  site_id     VARCHAR(40)  NOT NULL,
  window_id   VARCHAR(40)  NOT NULL,
  last_number INT UNSIGNED NOT NULL,
  saved_at    DATETIME(3)  NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (site_id, window_id),
  FOREIGN KEY (site_id) REFERENCES sites (id) ON DELETE CASCADE
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

-- Versions: a row for each stretch of work, told by what was done, and kept for ever where it has a name.
ALTER TABLE site_revisions
  ADD COLUMN IF NOT EXISTS began_at  DATETIME(3)  NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  ADD COLUMN IF NOT EXISTS window_id VARCHAR(40)  NULL,
  ADD COLUMN IF NOT EXISTS done      VARCHAR(400) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS name      VARCHAR(120) NULL;

-- The days on which a studio ran with this data. What is old by the calendar goes only when several of them agree, so that a
-- clock that jumps takes nothing with it.
CREATE TABLE IF NOT EXISTS run_days (
  day DATE NOT NULL PRIMARY KEY
);

UPDATE site_revisions SET began_at = saved_at WHERE began_at > saved_at;
