-- Removed sites are kept for 30 days.
ALTER TABLE sites ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL;
