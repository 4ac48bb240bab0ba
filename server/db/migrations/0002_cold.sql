-- a pack's state now knows since when it thaws and the newest event of it: folded again from the events at the next start
DELETE FROM `pack_state`;--> statement-breakpoint
DELETE FROM `eaten_log`;
