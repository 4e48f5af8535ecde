-- A heat limit that was typed in Fahrenheit is seldom whole in Celsius.
alter table product alter column heat_limit_c type double precision;
