/**
 * Everyday lines of a house and a small business, in the manner of the table beside it (which says how they are read): people, hours, days,
 * rules, reminders, importance, and what only looks like them.
 */
export const EVERYDAY = `
[person:Petri to |petri]mend the fence [due:by Friday|2026-11-27] => Mend the fence
[person:Leila to |leila]ring the vet [plan:tomorrow|2026-11-25] => Ring the vet
[person:Leila and Noor to |leila,noor each]fold the sheets => Fold the sheets
[person:Leila or Noor to |leila,noor any]open the door for the sweep => Open the door for the sweep
[person:Petri and Leila |petri,leila each]clean the sauna [plan:on Saturday|2026-11-28] => Clean the sauna
[person:Petri or Leila |petri,leila any]lock up [plan:tonight|2026-11-24T17:00] => Lock up
[person:Remind Petri to |petri]bring the ladder back => Bring the ladder back
[person:Tell Noor to |noor]air the blue room [plan:tomorrow morning|2026-11-25T08:00] => Air the blue room
[person:Please ask Leila to |leila]pick up the cake [plan:at 3 pm|2026-11-24T15:00] => Pick up the cake
[everyone:Everyone to |true]sign the fire plan [due:by Monday|2026-11-30] => Sign the fire plan
[everyone:Tell everybody to |true]wear boots [plan:tomorrow|2026-11-25] => Wear boots
[everyone:Remind everyone to |true]log their hours => Log their hours
Petri and Leila are coming [plan:on Sunday|2026-11-29] => Petri and Leila are coming
Leila has the keys => Leila has the keys
Noor likes blue => Noor likes blue
Marek [place:at the quay|quay] => Marek
Marek in the attic => Marek in the attic
[person:@Petri|petri] [plan:Friday at 16:00|2026-11-27T16:00] rake the leaves => rake the leaves
Rake the leaves [plan:Friday at 16:00|2026-11-27T16:00] [person:@Petri|petri] => Rake the leaves
Mend the latch [tag:#"front door"|front door] => Mend the latch
[tag:#"front door"|front door] mend the latch [plan:tomorrow|2026-11-25] => mend the latch
Empty the ash [plan:at 5 o'clock|2026-11-24T17:00] => Empty the ash
Empty the ash [plan:at five o'clock|2026-11-24T17:00] => Empty the ash
Empty the ash [plan:tomorrow at 8 o'clock|2026-11-25T08:00] => Empty the ash
Empty the ash [plan:at seven|2026-11-25T07:00] => Empty the ash
Empty the ash [plan:half past nine|2026-11-25T09:30] => Empty the ash
Empty the ash [plan:tomorrow at half past two|2026-11-25T14:30] => Empty the ash
Empty the ash [plan:quarter to six on Friday|2026-11-27T17:45] => Empty the ash
Empty the ash [plan:at 8 in the evening|2026-11-24T20:00] => Empty the ash
Empty the ash [plan:at 7 in the morning|2026-11-25T07:00] => Empty the ash
Empty the ash [plan:at noon on Sunday|2026-11-29T12:00] => Empty the ash
Empty the ash [plan:at midnight|2026-11-24T23:59] => Empty the ash
Empty the ash [due:by midnight|2026-11-24T23:59] => Empty the ash
Empty the ash [plan:tonight at 8|2026-11-24T20:00] => Empty the ash
Empty the ash [plan:tonight at 21:30|2026-11-24T21:30] => Empty the ash
Empty the ash [plan:tomorrow evening at 7|2026-11-25T19:00] => Empty the ash
Take the bread out [plan:in 20 minutes|2026-11-24T11:02] => Take the bread out
Take the bread out [plan:in half an hour|2026-11-24T11:12] => Take the bread out
Take the bread out [plan:in an hour|2026-11-24T11:42] => Take the bread out
Take the bread out [plan:in 2 hours|2026-11-24T12:42] => Take the bread out
Take the bread out [plan:45 minutes from now|2026-11-24T11:27] => Take the bread out
[plan:In 10 min|2026-11-24T10:52] turn the roast => turn the roast
<2026-12-31 23:30> Kiss everybody [plan:in 30 min|2027-01-01T00:00] => Kiss everybody
Send the offer [due:by the end of the day|2026-11-24] => Send the offer
Send the offer [due:by end of day|2026-11-24] => Send the offer
Send the offer [due:before 10 on Friday|2026-11-27T10:00] => Send the offer
Send the offer [due:before Friday 5 pm|2026-11-27T17:00] => Send the offer
Send the offer [due:before 5 pm on Friday|2026-11-27T17:00] => Send the offer
Send the offer [due:before Friday|2026-11-26] => Send the offer
Send the offer [due:by 5 on Friday|2026-11-27T17:00] => Send the offer
Send the offer [due:by 4 pm tomorrow|2026-11-25T16:00] => Send the offer
Send the offer [due:no later than Friday|2026-11-27] => Send the offer
Send the offer [due:not later than Friday noon|2026-11-27T12:00] => Send the offer
Send the offer [due:deadline Friday|2026-11-27] => Send the offer
Send the offer, [due:deadline: 4 December|2026-12-04] => Send the offer
Send the offer [due:due Friday|2026-11-27] => Send the offer
Send the offer [due:due on Friday|2026-11-27] => Send the offer
Send the offer [due:due by Friday|2026-11-27] => Send the offer
Send the offer [due:Friday at the latest|2026-11-27] => Send the offer
Send the offer [due:on Friday at the latest|2026-11-27] => Send the offer
Send the offer [due:until Friday|2026-11-27] => Send the offer
Send the offer [due:till Friday|2026-11-27] => Send the offer
Send the offer [due:by tomorrow evening|2026-11-25] => Send the offer
Send the offer [due:by Friday morning|2026-11-27] => Send the offer
Send the offer [start:after Friday|2026-11-28] => Send the offer
Send the offer [start:after 3 pm|2026-11-24T15:00] => Send the offer
Send the offer [start:from Monday|2026-11-30] => Send the offer
Send the offer [start:starting on Monday|2026-11-30] => Send the offer
Order wood [plan:the Friday after next|2026-12-04] => Order wood
Order wood [plan:on Friday after next|2026-12-04] => Order wood
Order wood [plan:a week on Friday|2026-12-04] => Order wood
Order wood [plan:Friday week|2026-12-04] => Order wood
Order wood [plan:a week from Monday|2026-12-07] => Order wood
Order wood [plan:a week from tomorrow|2026-12-02] => Order wood
Order wood [plan:the week after next|2026-12-07] => Order wood
Order wood [plan:next week|2026-11-30] => Order wood
Order wood [plan:at the weekend|2026-11-28] => Order wood
Order wood [plan:on the weekend|2026-11-28] => Order wood
Order wood [plan:over the weekend|2026-11-28] => Order wood
Order wood [due:by the weekend|2026-11-28] => Order wood
[plan:Fri|2026-11-27]: order wood => order wood
[plan:Sat|2026-11-28]: order wood => order wood
[plan:Sun|2026-11-29]: air the beds => air the beds
[plan:Friday|2026-11-27]: order wood => order wood
[plan:On Friday|2026-11-27] order wood => order wood
[plan:Tomorrow at 9|2026-11-25T09:00] ring the bank => ring the bank
[plan:Tomorrow at 9|2026-11-25T09:00]: ring the bank => ring the bank
Order wood [plan:first thing tomorrow|2026-11-25T08:00] => Order wood
Order wood [plan:tomorrow first thing|2026-11-25T08:00] => Order wood
Order wood [plan:first thing on Monday|2026-11-30T08:00] => Order wood
Order wood [plan:first thing in the morning|2026-11-25T08:00] => Order wood
Order wood [plan:later today|2026-11-24] => Order wood
Order wood [plan:later this afternoon|2026-11-24T13:00] => Order wood
Order wood [plan:in a fortnight|2026-12-08] => Order wood
Order wood [plan:in two weeks' time|2026-12-08] => Order wood
Pay wages [rule:on the first Monday of the month|FREQ=MONTHLY;BYDAY=1MO] => Pay wages
Pay wages [rule:first Saturday of every month|FREQ=MONTHLY;BYDAY=1SA] => Pay wages
Pay wages [rule:last Sunday of the month|FREQ=MONTHLY;BYDAY=-1SU] => Pay wages
Pay wages [rule:every second Tuesday of the month|FREQ=MONTHLY;BYDAY=2TU] => Pay wages
Pay wages [rule:the third Thursday of each month|FREQ=MONTHLY;BYDAY=3TH] => Pay wages
Pay wages [rule:every first Monday|FREQ=MONTHLY;BYDAY=1MO] => Pay wages
Pay wages [rule:every last Friday|FREQ=MONTHLY;BYDAY=-1FR] => Pay wages
Pay wages [rule:every last Friday at 15:00|FREQ=MONTHLY;BYDAY=-1FR 15:00] => Pay wages
Pay wages [rule:on the last working day of the month|FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1] => Pay wages
Pay wages [rule:every month on the last working day|FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1] => Pay wages
Pay wages [rule:on the first workday of every month|FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1] => Pay wages
Pay wages [rule:on the last day of every month|FREQ=MONTHLY;BYMONTHDAY=-1] => Pay wages
Pay wages [rule:at the end of each month|FREQ=MONTHLY;BYMONTHDAY=-1] => Pay wages
Pay wages [due:by the end of the month|2026-11-30] => Pay wages
Pay the VAT [rule:every quarter|FREQ=MONTHLY;INTERVAL=3] => Pay the VAT
Pay the VAT [rule:quarterly|FREQ=MONTHLY;INTERVAL=3] => Pay the VAT
Pay the VAT [rule:once a quarter|FREQ=MONTHLY;INTERVAL=3] => Pay the VAT
Check the boat [rule:every half year|FREQ=MONTHLY;INTERVAL=6] => Check the boat
Check the boat [rule:once a month|FREQ=MONTHLY] => Check the boat
Check the boat [rule:once a week|FREQ=WEEKLY] => Check the boat
Check the boat [rule:every fortnight|FREQ=WEEKLY;INTERVAL=2] => Check the boat
Check the boat [rule:fortnightly|FREQ=WEEKLY;INTERVAL=2] => Check the boat
Take the bins out [rule:every other Wednesday at 7|FREQ=WEEKLY;INTERVAL=2;BYDAY=WE 07:00] => Take the bins out
Take the bins out [rule:every Wednesday at 7 am|FREQ=WEEKLY;BYDAY=WE 07:00] => Take the bins out
Take the bins out [rule:every day at half past eight|FREQ=DAILY 08:30] => Take the bins out
Take the bins out [rule:every day at noon|FREQ=DAILY 12:00] => Take the bins out
Take the bins out [rule:every week on Monday at 9|FREQ=WEEKLY;BYDAY=MO 09:00] => Take the bins out
Take the bins out [rule:daily at 8|FREQ=DAILY 08:00] => Take the bins out
Take the bins out [rule:on Tuesdays|FREQ=WEEKLY;BYDAY=TU] => Take the bins out
Take the bins out [rule:Tuesdays|FREQ=WEEKLY;BYDAY=TU] => Take the bins out
Take the bins out [rule:on Tuesdays and Fridays|FREQ=WEEKLY;BYDAY=TU,FR] => Take the bins out
Take the bins out [rule:Mondays at 18:00|FREQ=WEEKLY;BYDAY=MO 18:00] => Take the bins out
Take the bins out [rule:every Tue and Thu evening|FREQ=WEEKLY;BYDAY=TU,TH 17:00] => Take the bins out
Take the bins out [rule:every Monday morning|FREQ=WEEKLY;BYDAY=MO 08:00] => Take the bins out
[rule:Weekly|FREQ=WEEKLY]: wipe the shelves => wipe the shelves
[rule:Monthly|FREQ=MONTHLY], check the alarms => check the alarms
[rule:Every Friday|FREQ=WEEKLY;BYDAY=FR] wipe the shelves => wipe the shelves
[rule:Every day at 9|FREQ=DAILY 09:00]: feed the hens => feed the hens
[rule:On Mondays|FREQ=WEEKLY;BYDAY=MO] wind the clock => wind the clock
Take the pills [rule:every day for 5 days|FREQ=DAILY;UNTIL=20261128] => Take the pills
Take the pills [rule:every day, 10 times|FREQ=DAILY;COUNT=10] => Take the pills
Take the pills [rule:every Monday for 6 times|FREQ=WEEKLY;BYDAY=MO;COUNT=6] => Take the pills
Take the pills [rule:every evening until 3 December|FREQ=DAILY;UNTIL=20261203 17:00] => Take the pills
Take the pills [rule:every day at 8 until Friday|FREQ=DAILY;UNTIL=20261127 08:00] => Take the pills
Take the pills [rule:daily until 1 Jan|FREQ=DAILY;UNTIL=20270101] => Take the pills
Look at the oven [rule:every hour from 10 to 14|FREQ=DAILY;BYHOUR=10,11,12,13,14 10:00] => Look at the oven
Look at the oven [rule:every hour between 9 and 11|FREQ=DAILY;BYHOUR=9,10,11 09:00] => Look at the oven
[alarm:Remind me at 15:00 to|2026-11-24T15:00] call the dairy => call the dairy
[alarm:Remind me tomorrow at 8 to|2026-11-25T08:00] call the dairy => call the dairy
[alarm:Remind me on Friday to|2026-11-27T08:00] call the dairy => call the dairy
[alarm:Remind me in 20 minutes to|2026-11-24T11:02] call the dairy => call the dairy
Call the dairy, [alarm:remind me at 15:00|2026-11-24T15:00] => Call the dairy
Call the dairy [due:by Friday|2026-11-27], [alarm:remind me tomorrow at 9|2026-11-25T09:00] => Call the dairy
[importance:Important:|2] call the dairy => call the dairy
[importance:Important!|2] Call the dairy => Call the dairy
[importance:Very important!|3] call the dairy [plan:today|2026-11-24] => call the dairy
[importance:Very important:|3] [plan:tomorrow|2026-11-25] call the dairy => call the dairy
[list:Groceries: |l-groceries]milk => milk
[list:Groceries: |l-groceries]milk [plan:tomorrow|2026-11-25] => milk
[list:Boathouse: |l-boathouse]oil the winch, [importance:important|2] => oil the winch
[effort:30 min|30]: photos => photos
[effort:30 min|30] [tag:#shop|shop] photos [person:@Noor|noor] => photos
Friday's paper => Friday's paper
Read Friday's paper => Read Friday's paper
Cook tomorrow's lunch => Cook tomorrow's lunch
Cook tomorrow's lunch [plan:today|2026-11-24] => Cook tomorrow's lunch
Sunday’s hymns [due:by Saturday|2026-11-28] => Sunday’s hymns
Talk to Noor about [?plan:Friday|2026-11-27] => Talk to Noor about Friday
Ring Petri re [?plan:Monday|2026-11-30] => Ring Petri re Monday
Read the book "Friday" => Read the book "Friday"
Watch "Saturday night" [plan:tomorrow|2026-11-25] => Watch "Saturday night"
Print “Open Monday to Friday” => Print “Open Monday to Friday”
Sign: open Monday to Friday => Sign: open Monday to Friday
Sign: open Mon–Fri => Sign: open Mon–Fri
Course Mon-Wed [due:by tomorrow|2026-11-25] => Course Mon-Wed
Print: open 10:00–18:00 => Print: open 10:00–18:00
Print the hours 10:00 to 18:00 => Print the hours 10:00 to 18:00
Plan the 2 h walk => Plan the 2 h walk
Buy a 30 min timer => Buy a 30 min timer
Book the 2 h tour [due:by Friday|2026-11-27] => Book the 2 h tour
Post the letter to Main Street 14 => Post the letter to Main Street 14
Meet at Harbour road 5 [plan:on Friday|2026-11-27] => Meet at Harbour road 5
Cut costs by 5 => Cut costs by 5
Shorten the legs by 10 cm => Shorten the legs by 10 cm
Paint one wall => Paint one wall
Buy the quarter beef => Buy the quarter beef
The daily bread => The daily bread
Every quarter of the cake => Every quarter of the cake
At one with the world => At one with the world
[person:Noor, |noor]water the ferns [plan:tomorrow|2026-11-25] => Water the ferns
[person:Noor, please |noor]water the ferns => Water the ferns
[person:Noor please |noor]water the ferns => Water the ferns
Noor, Leila and Petri are away => Noor, Leila and Petri are away
Dentist [plan:Thu 14:30|2026-11-26T14:30] => Dentist
Dentist [plan:on Thursday at quarter past 3|2026-11-26T15:15] => Dentist
Dentist [plan:3 Dec at 9.15|2026-12-03T09:15] => Dentist
Lunch [plan:at 12|2026-11-24T12:00] with the choir => Lunch with the choir
Lunch [plan:around 1 pm|2026-11-24T13:00] => Lunch
Lunch [plan:this coming Friday|2026-11-27] => Lunch
Lunch [plan:the coming weekend|2026-11-28] => Lunch
Meeting [plan:on Friday|2026-11-27] 9-10 => Meeting 9-10
Pay the rent [rule:on the 1st of every month|FREQ=MONTHLY;BYMONTHDAY=1] => Pay the rent
Pay the rent [rule:monthly on the 1st|FREQ=MONTHLY;BYMONTHDAY=1] => Pay the rent
Pay the rent [rule:each month on the 1st|FREQ=MONTHLY;BYMONTHDAY=1] => Pay the rent
Pay the rent [rule:every 15th|FREQ=MONTHLY;BYMONTHDAY=15] => Pay the rent
Pay the rent [!short-month:on the 31st of every month] => Pay the rent on the 31st of every month
Pay the rent [rule:on the 31st of every month, or the last day|FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1] => Pay the rent
Pay the rent [rule:every month on the 30th or the last day at 9:00|FREQ=MONTHLY;BYMONTHDAY=28,29,30;BYSETPOS=-1 09:00] => Pay the rent
Pay the rent [rule:monthly on the 31st only|FREQ=MONTHLY;BYMONTHDAY=31] => Pay the rent
Choir [rule:weekly on Thursday at 18:30|FREQ=WEEKLY;BYDAY=TH 18:30] => Choir
Choir [rule:each Thursday|FREQ=WEEKLY;BYDAY=TH] => Choir
Coffee [rule:on weekdays at 9|FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR 09:00] => Coffee
Coffee [rule:at weekends|FREQ=WEEKLY;BYDAY=SA,SU] => Coffee
Fetch the children [rule:at 15:15 every weekday|FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR 15:15] => Fetch the children
Answer the letter [due:within 3 days|2026-11-27] => Answer the letter
Answer the letter [due:in the next two weeks|2026-12-08] => Answer the letter
Answer the letter [due:by the end of Friday|2026-11-27] => Answer the letter
Answer the letter [plan:at the beginning of December|2026-12-01] => Answer the letter
Remind me to call the dairy [alarm:tomorrow at 9|2026-11-25T09:00] => call the dairy
Remind me to call the dairy [alarm:on Friday|2026-11-27T08:00] => call the dairy
Remind me to call the dairy [place-reminder:when I get to Quay|quay enter] => call the dairy
Remind me to call the dairy => Remind me to call the dairy
Buy milk, eggs and bread [plan:tomorrow|2026-11-25] => Buy milk, eggs and bread
Feed the cat twice a day => Feed the cat twice a day
Mow the lawn from 1 May to 31 August => Mow the lawn from 1 May to 31 August
Wash the car [due:by Saturday noon|2026-11-28T12:00] [person:@Petri|petri] [effort:45 min|45] => Wash the car
[tag:#shop|shop] [person:@Petri|petri] wash the car [due:by Saturday|2026-11-28], [effort:45 min|45], [importance:important|2] => wash the car
[plan:Tomorrow|2026-11-25] [person:@Noor|noor] wash the car => wash the car
[importance:Important:|2] [person:@Noor|noor] wash the car [due:by tomorrow|2026-11-25] => wash the car
Sign the fire plan [everyone:everyone|true] [due:by Friday morning|2026-11-27] => Sign the fire plan
Sign the fire plan [everyone:everybody|true], [plan:tomorrow|2026-11-25] [tag:#shop|shop] => Sign the fire plan
Thank everyone for coming => Thank everyone for coming
Thank everyone [plan:tomorrow|2026-11-25] => Thank everyone
Presents for everyone [due:by Friday|2026-11-27] => Presents for everyone
Say goodbye to everyone [plan:tomorrow|2026-11-25] => Say goodbye to everyone
`
  .split('\n')
  .filter((line) => line.trim() !== '');
