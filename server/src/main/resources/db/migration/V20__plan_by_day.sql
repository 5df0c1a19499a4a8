-- What was expected of a piece when it was hung, day by day: it is pulled on another day than was meant more often than not.
-- Shares of the green weight in millionths, as JSON.
alter table piece_plan add column daily text not null default '[]';
update piece_plan set daily = concat(
    '[{"day":', days, ',"lost":', lost_ppm, ',"lostLeast":', lost_least_ppm, ',"lostMost":', lost_most_ppm,
    ',"steak":', steak_ppm, ',"steakLeast":', steak_least_ppm, ',"steakMost":', steak_most_ppm,
    ',"crust":', crust_ppm, ',"costMinorPerKg":', coalesce(cost_minor_per_kg, 'null'), '}]');
alter table piece_plan
    drop column lost_ppm, drop column lost_least_ppm, drop column lost_most_ppm, drop column steak_ppm,
    drop column steak_least_ppm, drop column steak_most_ppm, drop column crust_ppm, drop column cost_minor_per_kg;
