/**
 * Lines as people type them, with their expected reading. A stretch that is recognised stands in brackets: `[kind:text|value]`,
 * with `?` if it is only offered, `[!code:text]` if it is asked about. Behind `=>` the title.
 * Read on Tuesday 24 November 2026 at 10:42, unless another moment stands in front in `<…>`.
 */
export const TABLE = `
Order candles => Order candles
Order 40 candles [due:by Friday|2026-11-27] => Order 40 candles
[person:Ask Leila to |leila]order 40 candles [due:by Friday|2026-11-27] [effort:15 min|15] [tag:#shop|shop] => Order 40 candles
Sweep the porch [plan:today|2026-11-24] => Sweep the porch
Sweep the porch [plan:tomorrow|2026-11-25] => Sweep the porch
Sweep the porch [plan:day after tomorrow|2026-11-26] => Sweep the porch
Sweep the porch [plan:the day after tomorrow|2026-11-26] => Sweep the porch
Sweep the porch [due:by tomorrow|2026-11-25] => Sweep the porch
Sweep the porch [plan:tomorrow morning|2026-11-25T08:00] => Sweep the porch
Sweep the porch [plan:tomorrow afternoon|2026-11-25T13:00] => Sweep the porch
Sweep the porch [plan:tomorrow evening|2026-11-25T17:00] => Sweep the porch
Sweep the porch [plan:tonight|2026-11-24T17:00] => Sweep the porch
Sweep the porch [plan:this evening|2026-11-24T17:00] => Sweep the porch
Sweep the porch [plan:this morning|2026-11-24T08:00] => Sweep the porch
[plan:Tomorrow|2026-11-25]: call the dairy => call the dairy
[plan:Tomorrow|2026-11-25] call the dairy => call the dairy
[plan:Friday|2026-11-27] call the dairy => call the dairy
Call the dairy [plan:Friday|2026-11-27] => Call the dairy
Call the dairy [plan:on Friday|2026-11-27] => Call the dairy
Call the dairy [plan:on friday|2026-11-27] => Call the dairy
Call the dairy [plan:Fri|2026-11-27] => Call the dairy
Call the dairy [plan:on fri|2026-11-27] => Call the dairy
Call the dairy [plan:next Friday|2026-11-27] => Call the dairy
Call the dairy [plan:coming Monday|2026-11-30] => Call the dairy
Call the dairy [plan:on Tuesday|2026-12-01] => Call the dairy
Call the dairy [plan:this Tuesday|2026-11-24] => Call the dairy
Call the dairy [plan:on Monday morning|2026-11-30T08:00] => Call the dairy
Call the dairy [due:until Sunday|2026-11-29] => Call the dairy
Call the dairy [due:due Monday|2026-11-30] => Call the dairy
Call the dairy [due:before Friday|2026-11-26] => Call the dairy
Call the dairy [plan:next week|2026-11-30] => Call the dairy
Call the dairy [plan:next month|2026-12-01] => Call the dairy
Call the dairy [plan:this weekend|2026-11-28] => Call the dairy
Call the dairy [due:by the end of the month|2026-11-30] => Call the dairy
Call the dairy [due:by end of next month|2026-12-31] => Call the dairy
Call the dairy [due:by the end of the week|2026-11-29] => Call the dairy
Call the dairy [due:by end of January|2027-01-31] => Call the dairy
Call the dairy [plan:in 3 days|2026-11-27] => Call the dairy
Call the dairy [plan:in three days|2026-11-27] => Call the dairy
Call the dairy [plan:in a week|2026-12-01] => Call the dairy
Call the dairy [plan:in two weeks|2026-12-08] => Call the dairy
Call the dairy [plan:in a fortnight|2026-12-08] => Call the dairy
Call the dairy [plan:in a month|2026-12-24] => Call the dairy
Call the dairy [plan:in 2 months|2027-01-24] => Call the dairy
Call the dairy [plan:in a year|2027-11-24] => Call the dairy
Call the dairy [plan:10 days from now|2026-12-04] => Call the dairy
Call the dairy [plan:on 4 Dec|2026-12-04] => Call the dairy
Call the dairy [plan:4 December|2026-12-04] => Call the dairy
Call the dairy [plan:on the 4th of December|2026-12-04] => Call the dairy
Call the dairy [plan:on December 4th|2026-12-04] => Call the dairy
Call the dairy [plan:on Dec 4|2026-12-04] => Call the dairy
Call the dairy [plan:on 4 December 2027|2027-12-04] => Call the dairy
Call the dairy [plan:on December 4, 2027|2027-12-04] => Call the dairy
Call the dairy [plan:on Fri 4 Dec|2026-12-04] => Call the dairy
Call the dairy [plan:on Friday, 4 December|2026-12-04] => Call the dairy
Call the dairy [plan:on 2026-12-04|2026-12-04] => Call the dairy
Call the dairy [plan:on 3 Jan|2027-01-03] => Call the dairy
Call the dairy [plan:on 23 Nov|2027-11-23] => Call the dairy
Call the dairy [plan:on 24 Nov|2026-11-24] => Call the dairy
Call the dairy [plan:on 29 Feb|2028-02-29] => Call the dairy
Call the dairy [plan:on 29 Feb 2028|2028-02-29] => Call the dairy
Call the dairy [plan:on 3rd|2026-12-03] => Call the dairy
Call the dairy [plan:on the 3rd|2026-12-03] => Call the dairy
Call the dairy [due:by the 30th|2026-11-30] => Call the dairy
Call the dairy [due:by 31st|2026-12-31] => Call the dairy
Call the dairy [plan:31st|2026-12-31] => Call the dairy
Call the dairy [plan:13.12.|2026-12-13] => Call the dairy
Call the dairy [plan:on 13.12.|2026-12-13] => Call the dairy
Call the dairy [plan:on 13.12.2027|2027-12-13] => Call the dairy
Call the dairy [plan:on 13.12.27|2027-12-13] => Call the dairy
Call the dairy [plan:13.12.27|2027-12-13] => Call the dairy
Call the dairy [plan:24/12/26|2026-12-24] => Call the dairy
Call the dairy on 4 December 0026 => Call the dairy on 4 December 0026
Call the dairy in 9999 years => Call the dairy in 9999 years
Call the dairy [plan:on 1/2|2027-02-01] => Call the dairy
Call the dairy [plan:on 1/2/2027|2027-02-01] => Call the dairy
Call the dairy [plan:24/12/2026|2026-12-24] => Call the dairy
Call the dairy [start:from 3 Jan|2027-01-03] => Call the dairy
Call the dairy [start:not before Monday|2026-11-30] => Call the dairy
Call the dairy [start:starting 1 March|2027-03-01] => Call the dairy
Call the dairy [start:from Monday|2026-11-30] [due:by Friday|2026-11-27] => Call the dairy
Call the dairy [plan:on Thursday|2026-11-26] [due:by Friday|2026-11-27] => Call the dairy
Call the dairy [plan:at 14:30|2026-11-24T14:30] => Call the dairy
Call the dairy [plan:at 09:00|2026-11-25T09:00] => Call the dairy
Call the dairy [plan:at 2 pm|2026-11-24T14:00] => Call the dairy
Call the dairy [plan:2pm|2026-11-24T14:00] => Call the dairy
Call the dairy [plan:at 12 am|2026-11-25T00:00] => Call the dairy
Call the dairy [plan:at 12 pm|2026-11-24T12:00] => Call the dairy
Call the dairy [plan:at 9|2026-11-25T09:00] => Call the dairy
Call the dairy [plan:at 5|2026-11-24T17:00] => Call the dairy
Call the dairy [plan:at 14.30|2026-11-24T14:30] => Call the dairy
Call the dairy [plan:at noon|2026-11-24T12:00] => Call the dairy
Call the dairy [plan:half past 8|2026-11-25T08:30] => Call the dairy
Call the dairy [plan:at half past 5|2026-11-24T17:30] => Call the dairy
Call the dairy [plan:quarter to 9|2026-11-25T08:45] => Call the dairy
Call the dairy [plan:quarter past four|2026-11-24T16:15] => Call the dairy
Call the dairy [plan:in the evening|2026-11-24T17:00] => Call the dairy
Call the dairy [plan:in the morning|2026-11-25T08:00] => Call the dairy
Call the dairy [plan:tomorrow at 14:30|2026-11-25T14:30] => Call the dairy
Call the dairy [plan:on Friday at 5 pm|2026-11-27T17:00] => Call the dairy
Call the dairy [plan:at 14:30 on Friday|2026-11-27T14:30] => Call the dairy
Call the dairy [due:by Friday 17:00|2026-11-27T17:00] => Call the dairy
Call the dairy [due:by Friday, 17:00|2026-11-27T17:00] => Call the dairy
Call the dairy [due:by 17:00|2026-11-24T17:00] => Call the dairy
Call the dairy [due:by 4 Dec at 9:15|2026-12-04T09:15] => Call the dairy
Call the dairy [due:by tomorrow noon|2026-11-25T12:00] => Call the dairy
<2026-12-31 23:30> Wish a good year [plan:tomorrow|2027-01-01] => Wish a good year
<2026-12-31 23:30> Call [plan:at 23:45|2026-12-31T23:45] => Call
<2026-12-31 23:30> Call [plan:at 8:00|2027-01-01T08:00] => Call
<2026-12-31 23:30> Call [plan:on Friday|2027-01-01] => Call
<2026-12-31 23:30> Call [due:by the end of the month|2026-12-31] => Call
<2027-01-31 12:00> Call [plan:in a month|2027-02-28] => Call
<2027-01-31 12:00> Call [plan:on the 30th|2027-03-30] => Call
<2027-01-31 12:00> Call [plan:on the 31st|2027-01-31] => Call
<2027-02-01 12:00> Call [due:by the end of the month|2027-02-28] => Call
<2028-02-01 12:00> Call [due:by the end of the month|2028-02-29] => Call
<2028-02-28 12:00> Call [plan:tomorrow|2028-02-29] => Call
<2027-03-27 12:00> Open the shutters [plan:tomorrow at 03:30|2027-03-28T03:30] => Open the shutters
<2027-10-30 12:00> Set the clock back [plan:tomorrow at 03:30|2027-10-31T03:30] => Set the clock back
<2026-11-28 09:00> Rake [plan:this weekend|2026-11-28] => Rake
<2026-11-29 09:00> Rake [plan:on Sunday|2026-12-06] => Rake
<2026-11-29 09:00> Rake [due:by the end of the week|2026-11-29] => Rake
Linen for [?plan:12 Dec|2026-12-12] group => Linen for 12 Dec group
Menu for the [?plan:Friday|2026-11-27] soup => Menu for the Friday soup
Catch the [?plan:14:30|2026-11-24T14:30] train to town => Catch the 14:30 train to town
Print [?plan:the 4 December|2026-12-04] menu [due:by tomorrow|2026-11-25] => Print the 4 December menu
Invoice [!weekday-disagrees:Thu 9 Dec 2026] => Invoice Thu 9 Dec 2026
Invoice [!weekday-disagrees:by Monday 4 December] => Invoice by Monday 4 December
Invoice [!no-such-day:on 31 Feb] => Invoice on 31 Feb
Invoice [!no-such-day:31 Feb] => Invoice 31 Feb
Invoice [!no-such-day:by 31 April] => Invoice by 31 April
Invoice [!no-such-day:by 2027-02-29] => Invoice by 2027-02-29
Invoice [!no-such-day:by 30.2.] => Invoice by 30.2.
Invoice [!no-such-day:on the 32nd] => Invoice on the 32nd
march [?list:to the shop|l-shop] => march to the shop
March [?list:to the shop|l-shop] => March to the shop
march to the lake => march to the lake
March 3 times round the house => March 3 times round the house
may we borrow the ladder => may we borrow the ladder
Read chapter 3 may be long => Read chapter 3 may be long
Open 24/7 sign => Open 24/7 sign
Buy 1/2 litre of cream => Buy 1/2 litre of cream
Sun screen for guests => Sun screen for guests
Air the beds in the sun => Air the beds in the sun
Air the beds [plan:on Sun|2026-11-29] => Air the beds
the cat sat on the mat => the cat sat on the mat
Version 2.10 of the form => Version 2.10 of the form
Room 3: second pillow => Room 3: second pillow
Replace the 3rd plank => Replace the 3rd plank
Wash at 60 degrees => Wash at 60 degrees
Bake at 180 for the group => Bake at 180 for the group
Call 09 123 4567 => Call 09 123 4567
Buy 2 h-profiles => Buy 2 h-profiles
The 24 h rule for the pool => The 24 h rule for the pool
Read the important letter => Read the important letter
What is most important => What is most important
Sort the mail in the hall => Sort the mail in the hall
Fix the second-hand clock => Fix the second-hand clock
Buy a dozen eggs => Buy a dozen eggs
Write to noor@example.org => Write to noor@example.org
See https://example.org/a#shop => See https://example.org/a#shop
Issue #12 of the paper => Issue #12 of the paper
Second coat on the rail => Second coat on the rail
Every guest gets a map => Every guest gets a map
Everyone likes the sauna => Everyone likes the sauna
Ask for the old spark plugs back => Ask for the old spark plugs back
Tell the truth => Tell the truth
Daily paper for room 2 => Daily paper for room 2
Mend the weekly calendar => Mend the weekly calendar
On the last day clean the fridge => On the last day clean the fridge
Two by four planks => Two by four planks
From the attic: skis => From the attic: skis
Photos [effort:30 min|30] => Photos
Photos [effort:30min|30] => Photos
Photos [effort:45 minutes|45] => Photos
Photos [effort:1.5 h|90] => Photos
Photos [effort:1,5 h|90] => Photos
Photos [effort:2 hours|120] => Photos
Photos [effort:1 h 30 min|90] => Photos
Photos [effort:half an hour|30] => Photos
Photos [effort:an hour|60] => Photos
Photos [effort:an hour and a half|90] => Photos
Photos [effort:about 20 min|20] => Photos
Photos, [effort:20 min|20], [plan:tomorrow|2026-11-25] => Photos
Photos [plan:in 2 days|2026-11-26] [effort:15 min|15] => Photos
Walk 30 min before breakfast => Walk 30 min before breakfast
Photos [importance:important|2] => Photos
Photos [importance:very important|3] => Photos
Photos [importance:a little important|1] => Photos
Photos [due:by Friday|2026-11-27], [importance:important|2] => Photos
[importance:Important:|2] photos => photos
[importance:very important:|3] photos => photos
Iron the napkins [person:@Noor|noor] => Iron the napkins
Iron the napkins [person:@noor|noor] => Iron the napkins
Iron the napkins [person:@No|noor] => Iron the napkins
[person:@Noor|noor] iron the napkins => iron the napkins
Iron [person:@Noor|noor] the napkins => Iron the napkins
Iron the napkins [person:@Noor and @Leila|noor,leila each] => Iron the napkins
Iron the napkins [person:@Noor or @Leila|noor,leila any] => Iron the napkins
Iron the napkins [person:@Noor, @Leila and @Petri|noor,leila,petri each] => Iron the napkins
[person:ask noor to |noor]iron the napkins => Iron the napkins
[person:Please ask Noor to |noor]iron the napkins => Iron the napkins
[person:Tell Marek to |marek]salt the pike => Salt the pike
[person:Ask Leila and Noor to |leila,noor each]count the linen => Count the linen
[person:Ask Leila or Noor to |leila,noor any]count the linen => Count the linen
[person:For Leila: |leila]count the linen => count the linen
[person:Leila: |leila]count the linen => count the linen
[person:Marek Nowak: |marek]salt the pike => salt the pike
Count the linen, [person:each of Leila and Noor|leila,noor each] => Count the linen
[everyone:Ask everyone to |true]read the fire plan => Read the fire plan
Read the fire plan [everyone:everyone|true] => Read the fire plan
A present [?person:for Leila|leila] => A present for Leila
Soup [?person:for Petri and Noor|petri,noor each] => Soup for Petri and Noor
A letter for Leila's mother => A letter for Leila's mother
Ask @Zebedee => Ask @Zebedee
Candles [tag:#shop|shop] => Candles
Candles [tag:#shop|shop] [tag:#by-boat|by-boat] => Candles
Candles [tag:#käsityö|käsityö] => Candles
[tag:#shop|shop] candles => candles
Tie the boat [place:at Quay|quay] => Tie the boat
Tie the boat [place:at the quay|quay] => Tie the boat
Candles [place:at the Village shop|shop] => Candles
Look at Quayside hotels => Look at Quayside hotels
Tie the boat [place-reminder:when I get to Quay|quay enter] => Tie the boat
Close the damper [place-reminder:when I leave the Quay|quay leave] => Close the damper
[place-reminder:Remind me when I arrive at Dairy|dairy enter] about the milk => about the milk
Pay the choir [due:by 1 Dec|2026-12-01] [alarm:remind me 2 days before|P2D] => Pay the choir
Pay the choir [due:by 1 Dec 12:00|2026-12-01T12:00] [alarm:remind me 30 min before|PT30M] => Pay the choir
Pay the choir [alarm:remind me a week before|P1W] => Pay the choir
go [?list:to shop|l-shop] => go to shop
Milk [?list:to Groceries|l-groceries] => Milk to Groceries
Varnish [?list:in Before winter|l-boathouse s-winter] => Varnish in Before winter
Water the plants [rule:every day|FREQ=DAILY] => Water the plants
Water the plants [rule:daily|FREQ=DAILY] => Water the plants
Water the plants [rule:every 3 days|FREQ=DAILY;INTERVAL=3] => Water the plants
Water the plants [rule:every week|FREQ=WEEKLY] => Water the plants
Water the plants [rule:weekly|FREQ=WEEKLY] => Water the plants
Water the plants [rule:every other week|FREQ=WEEKLY;INTERVAL=2] => Water the plants
Water the plants [rule:every Tuesday|FREQ=WEEKLY;BYDAY=TU] => Water the plants
Water the plants [rule:every other Tuesday|FREQ=WEEKLY;INTERVAL=2;BYDAY=TU] => Water the plants
Water the plants [rule:every 2nd Fri|FREQ=WEEKLY;INTERVAL=2;BYDAY=FR] => Water the plants
Water the plants [rule:every second Friday|FREQ=WEEKLY;INTERVAL=2;BYDAY=FR] => Water the plants
Heat the sauna [rule:every Wed and Sat at 16:00|FREQ=WEEKLY;BYDAY=WE,SA 16:00] => Heat the sauna
Heat the sauna [rule:every Monday, Wednesday and Friday|FREQ=WEEKLY;BYDAY=MO,WE,FR] => Heat the sauna
Heat the sauna [rule:every 2 weeks on Friday|FREQ=WEEKLY;INTERVAL=2;BYDAY=FR] => Heat the sauna
Open the mail [rule:every weekday|FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR] => Open the mail
Open the mail [rule:every workday at 08:30|FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR 08:30] => Open the mail
Pancakes [rule:every weekend|FREQ=WEEKLY;BYDAY=SA,SU] => Pancakes
Stretch [rule:every morning|FREQ=DAILY 08:00] => Stretch
Air the hall [rule:every 2 hours|FREQ=HOURLY;INTERVAL=2] => Air the hall
Wages [rule:every month on the 25th|FREQ=MONTHLY;BYMONTHDAY=25] => Wages
Wages [rule:every 3 months on the 10th|FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=10] => Wages
Wages [rule:every month on the last day|FREQ=MONTHLY;BYMONTHDAY=-1] => Wages
Wages [rule:every month on the last Friday|FREQ=MONTHLY;BYDAY=-1FR] => Wages
Wages [rule:every last Friday of the month|FREQ=MONTHLY;BYDAY=-1FR] => Wages
Wages [rule:every first Monday of the month|FREQ=MONTHLY;BYDAY=1MO] => Wages
Wages [rule:on the 25th of every month|FREQ=MONTHLY;BYMONTHDAY=25] => Wages
Wages [rule:monthly|FREQ=MONTHLY] => Wages
Check the fire extinguisher [rule:every year|FREQ=YEARLY] => Check the fire extinguisher
Check the fire extinguisher [rule:every 24 December|FREQ=YEARLY;BYMONTH=12;BYMONTHDAY=24] => Check the fire extinguisher
Check the fire extinguisher [rule:every year on 24 Dec|FREQ=YEARLY;BYMONTH=12;BYMONTHDAY=24] => Check the fire extinguisher
Descale the coffee machine [rule:6 weeks after done|after P6W] => Descale the coffee machine
Descale the coffee machine [rule:2 weeks after it was done|after P2W] => Descale the coffee machine
Descale the coffee machine [rule:every 10 days after done|after P10D] => Descale the coffee machine
Wash the boat covers [rule:every other Friday|FREQ=WEEKLY;INTERVAL=2;BYDAY=FR] [start:from 4 Dec|2026-12-04] => Wash the boat covers
Wash the boat covers [rule:every Friday|FREQ=WEEKLY;BYDAY=FR] [effort:40 min|40] [tag:#boat|boat] [person:@Noor|noor] => Wash the boat covers
[person:Ask Noor to |noor]tie the boat [place:at Quay|quay] [plan:tomorrow|2026-11-25], [importance:very important|3] => Tie the boat
  Spaces   everywhere   [due:by   Friday|2026-11-27]   => Spaces everywhere
Ääkköset ja ruoka [due:by Friday|2026-11-27] => Ääkköset ja ruoka
Cake 🎂 [plan:on Saturday|2026-11-28] => Cake 🎂
"Quoted" words [due:by Friday|2026-11-27] => "Quoted" words
<b>bold</b> [plan:tomorrow|2026-11-25] => <b>bold</b>
`
  .split('\n')
  .filter((line) => line.trim() !== '');
